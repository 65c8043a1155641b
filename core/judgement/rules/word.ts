import { type PlanChange, planChanges, planParts, planSays } from '../../floatplan/says';
import { capital, listed, plural } from '../../units/words';
import type { Context } from '../context';
import { rule } from '../rule';

/**
 * What is said of the plan that somebody ashore has, or should have. It is put right after all else, and
 * keeps no other repair back.
 */
const station = 'leave-word';

/** Whether there is still somebody to tell: of an outing that is over nothing is asked. */
const isAhead = ({ log, now, day }: Pick<Context, 'log' | 'now' | 'day'>) =>
  log === null && day.homeAt !== null && now < day.homeAt;

const notLeft = rule({
  code: 'word-not-left',
  reads: ['brief', 'word', 'needs', 'log', 'now', 'day'],
  station,
  neverBlocksRepairs: true,
  measure: 'whether',
  find: (context) => {
    const { brief, word, needs } = context;
    const asked = needs.find(({ id }) => id === 'float-plan');
    // Who is not named cannot be told anything: that is said first, as what it is.
    if (!asked?.met || word.left !== null || !isAhead(context)) return [];
    return [{ level: 'mind', basis: 'judgement', extent: 1, facts: { contact: brief.contact.name } }];
  },
  say: ({ contact }) => ({
    title: `${contact} does not have the plan yet`,
    text: 'Where, in which boat, until when and whom to call stand only here. Leave it with them: on paper, as a page they can watch, or read out.',
  }),
  otherwise: () => 'Leave it with them; or say how they know.',
});

const MOST_SAID = 3;
const changed = rule({
  code: 'word-changed',
  reads: ['brief', 'company', 'word', 'places', 'carried', 'log', 'now', 'day'],
  station,
  neverBlocksRepairs: true,
  measure: 'parts',
  find: (context) => {
    const { brief, company, word, places, carried } = context;
    if (word.left === null || !isAhead(context)) return [];
    const changes = planChanges(word.left.says, planSays({ brief, company, word }, places, carried));
    if (changes.length === 0) return [];
    const facts = { contact: brief.contact.name, changes: changes as readonly PlanChange[] };
    return [{ level: 'mind', basis: 'judgement', extent: changes.length, facts }];
  },
  say: ({ contact, changes }) => ({
    title: `The plan ${contact || 'somebody'} has is not this one`,
    text: `${changes.slice(0, MOST_SAID).map(sayChange).join(' ')}${changes.length > MOST_SAID ? ` And ${listed(changes.slice(MOST_SAID).map(({ part }) => planParts[part]))} ${plural(changes.length - MOST_SAID, 'is', 'are')} not as left.` : ''} Leave it again.`,
  }),
  otherwise: () => 'Leave it again; or say how they know.',
});
/** A part of a plan that is not as it was left: "Home: 11:30 on 16 May, now 12:30 on 16 May." */
export function sayChange({ part, was, is }: PlanChange): string {
  const name = capital(planParts[part]);
  if (part === 'way') return `${name} goes by other points now.`;
  if (was === '') return `${name}: ${is}, which they were not told.`;
  if (is === '') return `${name}: ${was} then, and not written any more.`;
  return `${name}: ${was} then, now ${is}.`;
}

const notCarried = rule({
  code: 'word-not-carried',
  reads: ['word', 'places', 'log', 'now', 'day'],
  station,
  neverBlocksRepairs: true,
  measure: 'whether',
  find: (context) => {
    const {
      word,
      places: { water },
    } = context;
    if (!water || word.carriedAt !== null || !isAhead(context)) return [];
    const { coverage } = water;
    if (coverage !== 'none' && coverage !== 'patchy') return [];
    return [
      {
        level: coverage === 'none' ? 'mind' : 'note',
        basis: 'judgement',
        extent: 1,
        facts: { water: water.name, coverage },
      },
    ];
  },
  say: ({ water, coverage }) => ({
    title: `${coverage === 'none' ? 'No signal' : 'Little signal'} at ${water}, and this is not carried`,
    text: 'The walk-round is made where the network may not be. Carry the outing on the telephone that goes along, or print it.',
  }),
  otherwise: () => 'Carry it, or take it on paper and say so.',
});

const unwatched = rule({
  code: 'word-unwatched',
  notes: true,
  reads: ['word', 'log', 'now', 'day'],
  station,
  neverBlocksRepairs: true,
  measure: 'whether',
  find: (context) =>
    context.word.left !== null && !context.word.left.watched && isAhead(context)
      ? [{ level: 'note', basis: 'judgement', extent: 1, facts: {} }]
      : [],
  say: () => ({
    title: 'The page they could watch is off',
    text: 'Whoever has the plan has it as it was left: they do not see when you launch, or that you come home later.',
  }),
});

export const wordRules = [notLeft, changed, notCarried, unwatched] as const;
