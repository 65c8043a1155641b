import type { Verdict } from '../documents/answer';
import type { Answers } from './answers';
import type { Step } from './steps';

/** Something looked at that is not sound, or not there. */
export interface Defect {
  stepId: string;
  title: string;
  verdict: Exclude<Verdict, 'good'>;
  /** What is wrong with it, in somebody's words; empty: nobody said. */
  note: string;
  /** The step that asks for it, by its place in the list. */
  index: number;
}

/**
 * What a step comes to: a list of things is as good as the worst of them. undefined: it is not answered.
 */
export function verdictOf(step: Pick<Step, 'id' | 'items'>, answers: Answers): Verdict | undefined {
  const own = answers.get(step.id)?.verdict;
  const worst = step.items.map(({ stepId }) => answers.get(stepId)?.verdict);
  return (['fault', 'not here'] as const).find((verdict) => worst.includes(verdict)) ?? own;
}

/** All that was answered with a fault or as not there, in the order it is walked. */
export function defectsIn(steps: readonly Step[], answers: Answers): Defect[] {
  const said = new Set<string>();
  return steps.flatMap((step, index) =>
    [{ stepId: step.id, name: step.title }, ...step.items].flatMap(({ stepId, name }) => {
      const answer = answers.get(stepId);
      if (!answer || answer.verdict === 'good' || said.has(stepId)) return [];
      said.add(stepId);
      return [{ stepId, title: name, verdict: answer.verdict, note: answer.note, index }];
    }),
  );
}

/** "Paddle leash: a fault: worn at the clip". */
export function sayDefect({ title, verdict, note }: Pick<Defect, 'title' | 'verdict' | 'note'>): string {
  const what = verdict === 'fault' ? 'a fault' : 'not here';
  return `${title}: ${what}${note === '' ? '' : `, ${note}`}`;
}
