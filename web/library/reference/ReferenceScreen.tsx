import { Outlet } from 'react-router';
import { Page } from '../../ui/Page';
import { PartLinks } from '../../ui/PartLinks';

const parts = [
  { to: '/reference/species', name: 'Species' },
  { to: '/reference/needs', name: 'Needs' },
  { to: '/reference/rules', name: 'Rules' },
  { to: '/reference/limits', name: 'Limits' },
  { to: '/reference/procedures', name: 'Procedures' },
  { to: '/reference/practice', name: 'Practice' },
  { to: '/reference/words', name: 'Words' },
] as const;

/**
 * What is looked up: the fish, what outings ask for, the law as far as it is held here, and where practice
 * differs.
 */
export function ReferenceScreen() {
  return (
    <Page
      title="Reference"
      lead="Usual practice, rounded. The law of the place and those who know it come first."
    >
      <PartLinks label="Parts of the reference" parts={parts} />
      <Outlet />
    </Page>
  );
}
