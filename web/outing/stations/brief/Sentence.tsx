import { setUpOf } from '#core/boat/build';
import type { Craft } from '#core/documents/craft';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import type { Brief } from '#core/documents/outing';
import { withBrief } from '#core/editing/title';
import {
  techniqueAsks,
  techniques,
  tripChanges,
  tripFits,
  tripFor,
  tripTechniques,
  tripTypes,
  tripWords,
} from '#core/vocabulary/trips';
import { allSpecies } from '#core/catalog/species/speciesOf';
import { withHours } from '#core/editing/hours';
import { throughMidnight } from '#core/documents/hours';
import { dayInWords, shiftClock } from '#core/units/time';
import { distance, amount } from '#core/units/amount';
import { capital, count, listed } from '#core/units/words';
import { serif } from '../../../app/theme';
import { withSetUpApplied } from '#core/editing/stow';
import { useDesk } from '../../desk';
import { Blank } from './Blank';
import { Count, PickOne, PickSeveral } from './editors';
import { WhenField } from '../../../ui/WhenField';
import { byClock } from '#core/units/clockWords';

/** What a part of the sentence needs: the brief, what it points at, and how a blank is filled. */
function useBrief() {
  const { doc, edit, references, looked } = useDesk();
  const set = (change: Partial<Brief>, group = '') => edit((outing) => withBrief(outing, change, references), group);
  return { brief: doc.brief, looked, references, set };
}

/** The brief as one sentence with blanks. */
export function Sentence() {
  return (
    <Typography
      component="section"
      aria-label="The outing in one sentence"
      sx={{ fontFamily: serif, fontSize: { xs: '1.25rem', sm: '1.42rem' }, lineHeight: { xs: '44px', sm: 1.5 } }}
    >
      <Catch />
      <Way />
      <Hours />
      <Company />
      <Boat />
      <Manner />
      <Ashore />.
    </Typography>
  );
}

/** What is fished for, and how many are kept. */
function Catch() {
  const { brief, looked, references, set } = useBrief();
  return (
    <>
      {'For '}
      <Blank asks="Which fish" text={listed(looked.targets.map((one) => one.name))}>
        {(close) => (
          <PickSeveral
            options={allSpecies(references.species).map(({ id, name }) => ({ id, name: capital(name) }))}
            chosen={brief.targets}
            most={6}
            onChange={(targets) => set({ targets })}
            onDone={close}
          />
        )}
      </Blank>
      {', keeping '}
      <Blank asks="Fish kept" text={count(brief.keep)}>
        {(close) => (
          <Count
            label="Fish kept"
            value={brief.keep}
            min={0}
            max={50}
            onChange={(keep) => set({ keep })}
            onDone={close}
          />
        )}
      </Blank>
    </>
  );
}

/** From where to where. */
function Way() {
  const { brief, looked, references, set } = useBrief();
  const launches = references.waters.flatMap((one) =>
    one.launches.map((launch) => ({ id: `${one.id}/${launch.id}`, name: capital(launch.name), more: one.name })),
  );
  const { water } = looked;
  return (
    <>
      {', from '}
      <Blank asks="Launch" text={looked.launch?.name ?? ''}>
        {(close) =>
          launches.length === 0 ? (
            <Empty to="/waters" text="No water is kept yet. Add one." />
          ) : (
            <PickOne
              label="Launch"
              options={launches}
              chosen={`${brief.waterId ?? ''}/${brief.launchId ?? ''}`}
              onPick={(picked) => {
                const [waterId = '', launchId = ''] = picked.split('/');
                const there = references.waters.find((one) => one.id === waterId);
                const areas = there?.areas ?? [];
                // A kind of trip that such a water is not for gives its place to one that is.
                const trip = there && !tripFits(brief.trip, there.setting) ? tripFor(there.setting) : null;
                const areaId =
                  waterId === brief.waterId ? brief.areaId : areas.length === 1 ? (areas[0]?.id ?? null) : null;
                set({
                  waterId,
                  launchId,
                  areaId,
                  landingId: null,
                  ...(waterId === brief.waterId ? {} : { route: { out: [], home: [] } }),
                  ...(trip === null ? {} : { trip, techniques: [...tripTechniques[trip]] }),
                });
                close();
              }}
            />
          )
        }
      </Blank>
      {' out to '}
      <Blank asks="Place to fish" text={looked.area?.name ?? ''}>
        {(close) =>
          water ? (
            <PickOne
              label="Place to fish"
              options={water.areas.map((area) => ({
                id: area.id,
                name: capital(area.name),
                more: `${distance(area.distanceM)} from a landing at the farthest, ${amount(area.depthM, 'm')} deep over ${area.bottom}`,
              }))}
              chosen={brief.areaId}
              onPick={(areaId) => {
                set({ areaId, route: { out: [], home: [] } });
                close();
              }}
            />
          ) : (
            <Typography>Say the launch first; its places are listed here then.</Typography>
          )
        }
      </Blank>
    </>
  );
}

/** The day and the hours afloat. */
function Hours() {
  const { brief, set } = useBrief();
  return (
    <>
      {', on '}
      <Blank asks="Day" text={dayInWords(brief.date)}>
        {(close) => (
          <When kind="date" label="Day" value={brief.date} onChange={(date) => set({ date }, 'date')} onDone={close} />
        )}
      </Blank>
      {', afloat '}
      <Blank asks="Launch time" text={byClock(brief.launchAt)}>
        {(close) => (
          <When
            kind="time"
            label="Launch"
            value={brief.launchAt}
            onChange={(launchAt) => set(withHours(brief, launchAt, brief.homeAt), 'launchAt')}
            onDone={close}
          />
        )}
      </Blank>
      {' to '}
      <Blank asks="Time home" text={byClock(brief.homeAt)}>
        {(close) => (
          <When
            kind="time"
            label="Home"
            value={brief.homeAt}
            onChange={(homeAt) => set(withHours(brief, brief.launchAt, homeAt), 'homeAt')}
            onDone={close}
          />
        )}
      </Blank>{' '}
      <Blank
        asks="Nights out"
        text={
          brief.nights === 0
            ? throughMidnight(brief)
              ? 'the next morning'
              : 'the same day'
            : `after ${count(brief.nights)} ${brief.nights === 1 ? 'night' : 'nights'} out`
        }
      >
        {(close) => (
          <Count
            label="Nights out"
            value={brief.nights}
            min={0}
            max={21}
            onChange={(nights) => set({ nights })}
            onDone={close}
          />
        )}
      </Blank>
    </>
  );
}

/** How many, and where they land. */
function Company() {
  const { brief, looked, set } = useBrief();
  const { water } = looked;
  return (
    <>
      {', '}
      <Blank asks="Party" text={brief.party === 1 ? 'alone' : `${count(brief.party)} together`}>
        {(close) => (
          <Count
            label="People, you included"
            value={brief.party}
            min={1}
            max={12}
            onChange={(party) => set({ party })}
            onDone={close}
          />
        )}
      </Blank>
      {water && water.launches.length > 1 && (
        <>
          {', landing at '}
          <Blank asks="Landing" text={looked.landing?.name ?? ''}>
            {(close) => (
              <PickOne
                label="Landing"
                options={water.launches.map(({ id, name }) => ({ id, name: capital(name) }))}
                chosen={looked.landing?.id ?? null}
                onPick={(picked) => {
                  set({ landingId: picked === brief.launchId ? null : picked });
                  close();
                }}
              />
            )}
          </Blank>
        </>
      )}
    </>
  );
}

/** How the boat is set up, as it stands in the sentence. */
const setUpWords = (craft: Craft) =>
  setUpOf(craft).name.replace(/^\p{Lu}(?=\p{Ll})/u, (letter) => letter.toLowerCase());

function Boat() {
  const { brief, looked, references, set } = useBrief();
  const { edit } = useDesk();
  return (
    <>
      {', in '}
      <Blank asks="Boat" text={looked.craft?.name ?? ''}>
        {(close) =>
          references.craft.length === 0 ? (
            <Empty to="/boats" text="No boat is kept yet. Add one." />
          ) : (
            <PickOne
              label="Boat"
              options={references.craft.map((one) => ({
                id: one.id,
                name: one.name,
                more: `${one.drive}, ${one.hull}, ${amount(one.lengthM, 'm', 2)}`,
              }))}
              chosen={brief.craftId}
              onPick={(craftId) => {
                set({ craftId, setUpId: null });
                close();
              }}
            />
          )
        }
      </Blank>
      {looked.craft && looked.craft.setUps.length > 1 && (
        <>
          {', '}
          <Blank asks="Set-up" text={setUpWords(looked.craft)}>
            {(close) => (
              <PickOne
                label="Set-up"
                options={looked.craft?.setUps.map(({ id, name, seat }) => ({ id, name, more: `seat ${seat}` })) ?? []}
                chosen={looked.craft?.setUpId ?? null}
                onPick={(setUpId) => {
                  const setUp = looked.craft?.setUps.find(({ id }) => id === setUpId);
                  if (setUp) edit((outing) => withSetUpApplied(outing, setUp));
                  close();
                }}
              />
            )}
          </Blank>
        </>
      )}
    </>
  );
}

/** The kind of trip and how it is fished. */
function Manner() {
  const { brief, set } = useBrief();
  return (
    <>
      {': '}
      <Blank asks="Kind of trip" text={tripWords[brief.trip]}>
        {(close) => (
          <PickOne
            label="Kind of trip"
            options={tripTypes.map((id) => ({ id, name: capital(tripWords[id]), more: tripChanges[id] }))}
            chosen={brief.trip}
            onPick={(picked) => {
              const trip = tripTypes.find((one) => one === picked) ?? brief.trip;
              set({ trip, techniques: [...tripTechniques[trip]] });
              close();
            }}
          />
        )}
      </Blank>
      {', '}
      <Blank asks="How you fish" text={listed(brief.techniques) || 'without tackle'}>
        {(close) => (
          <PickSeveral
            options={techniques.map((id) => ({ id, name: capital(id), more: techniqueAsks[id] }))}
            chosen={brief.techniques}
            most={techniques.length}
            onChange={(chosen) => set({ techniques: chosen })}
            onDone={close}
          />
        )}
      </Blank>
      {', '}
      <Blank asks="Seated or standing" text={brief.standing ? 'standing' : 'seated'}>
        {(close) => (
          <PickOne
            label="Seated or standing"
            options={[
              { id: 'seated', name: 'Seated' },
              { id: 'standing', name: 'Standing' },
            ]}
            chosen={brief.standing ? 'standing' : 'seated'}
            onPick={(picked) => {
              set({ standing: picked === 'standing' });
              close();
            }}
          />
        )}
      </Blank>
    </>
  );
}

/** Who calls for help, and when. */
function Ashore() {
  const { brief, references, set } = useBrief();
  const contact = brief.contact.name;
  return (
    <>
      {'. If nothing is heard, '}
      <Blank asks="Person ashore" text={contact}>
        {(close) => (
          <>
            {references.angler && references.angler.contact.name !== '' && (
              <Button
                variant="outlined"
                onClick={() => {
                  if (references.angler) set({ contact: { ...references.angler.contact } });
                  close();
                }}
              >
                {references.angler.contact.name}, from your profile
              </Button>
            )}
            <TextField
              label="Name"
              value={contact}
              onChange={(event) => set({ contact: { ...brief.contact, name: event.target.value } }, 'contact')}
              slotProps={{ htmlInput: { maxLength: 200 } }}
            />
            <TextField
              label="Number"
              type="tel"
              value={brief.contact.phone}
              onChange={(event) => set({ contact: { ...brief.contact, phone: event.target.value } }, 'phone')}
              slotProps={{ htmlInput: { maxLength: 200 } }}
            />
            <Button variant="outlined" onClick={close}>
              Done
            </Button>
          </>
        )}
      </Blank>
      {' calls for help at '}
      <Blank asks="Hour to call for help" text={byClock(brief.alarmAt)}>
        {(close) => (
          <>
            <Button variant="outlined" onClick={() => set({ alarmAt: shiftClock(brief.homeAt, 60) })}>
              An hour after coming home
            </Button>
            <When
              kind="time"
              label="Call at"
              value={brief.alarmAt}
              onChange={(alarmAt) => set({ alarmAt }, 'alarmAt')}
              onDone={close}
            />
          </>
        )}
      </Blank>
    </>
  );
}

function Empty({ to, text }: { to: string; text: string }) {
  return (
    <Link component={RouterLink} to={to} sx={{ py: 1 }}>
      {text}
    </Link>
  );
}

/** One of the sentence's days or times, and the way out of its blank. */
function When({
  kind,
  label,
  value,
  onChange,
  onDone,
}: {
  kind: 'date' | 'time';
  label: string;
  value: string;
  onChange: (value: string) => void;
  onDone: () => void;
}) {
  return (
    <>
      <WhenField
        kind={kind}
        label={label}
        value={value}
        autoFocus
        onChange={(next) => {
          if (next !== null) onChange(next);
        }}
        onEnter={onDone}
      />
      <Button variant="outlined" onClick={onDone}>
        Done
      </Button>
    </>
  );
}
