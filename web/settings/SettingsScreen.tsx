import { Outlet } from 'react-router';
import { useMe } from '../people/queries';
import { Page } from '../ui/Page';
import { PartLinks } from '../ui/PartLinks';

const parts = [
  { to: '/settings', name: 'You' },
  { to: '/settings/limits', name: 'Units, limits and practice' },
  { to: '/settings/ashore', name: 'The person ashore' },
  { to: '/settings/device', name: 'Light and devices' },
  { to: '/settings/members', name: 'Members' },
  { to: '/settings/data', name: 'Your data' },
] as const;

/** What holds for every outing, in short pages. */
export function SettingsScreen() {
  const { data } = useMe();
  const invites = data?.person?.keeper ?? false;
  return (
    <Page title="Settings" lead="What holds for every outing.">
      <PartLinks
        label="Parts of the settings"
        parts={parts.filter(({ to }) => to !== '/settings/members' || invites)}
      />
      <Outlet />
    </Page>
  );
}
