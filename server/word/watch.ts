import type { MessageKind } from '#core/floatplan/message';
import { plainText } from '#core/floatplan/plainText';
import { type PlanStatus, sayStatus, statusOf, whatToDo } from '#core/floatplan/status';
import { DAY_MS } from '#core/units/time';
import { isSetAside } from '../documents/store';
import { stores } from '../documents/stores';
import type { Database } from '../storage/open';
import { asHouse } from '../people/scope';
import { type LeftPlan, type WatchPage, wordStore } from './store';

/** A page of an outing that came home stays so long; one of which nothing was heard, longer. */
const AFTER_HOME_MS = DAY_MS;
const UNHEARD_MS = 14 * DAY_MS;

/** Whether a page may be looked at: neither switched off nor a day past coming home. */
export function isWatched(page: Pick<WatchPage, 'offAt'>, status: PlanStatus, now: number): boolean {
  if (page.offAt !== null) return false;
  if (status.state === 'home') return now < (status.heardAt ?? status.homeAt) + AFTER_HOME_MS;
  return now < status.callAt + UNHEARD_MS;
}
/** The path of a watch page in this house. */
export function pagePath({ token }: Pick<WatchPage, 'token'>): string {
  return `/watch/${token}`;
}

/** Sends one message. Fails with a reason that can be shown. */
export type Post = (message: { to: string; subject: string; text: string }) => Promise<void>;

/**
 * Keeps the clock of all plans that are out: writes what is late and overdue, each once, and sends what is written where there is a way.
 * Several processes may do so at once. @param post null: nothing is sent, only written and shown
 */
export function watchOver(db: Database, now: () => number, post: Post | null) {
  const outings = stores(db).outings;
  const words = wordStore(db);
  const write = async (left: LeftPlan, kind: MessageKind, mark: string, text: string, subject: string) => {
    const { contact } = left.plan;
    await words.write({
      mark,
      outingId: left.outingId,
      kind,
      toName: contact.name,
      toAddress: contact.email,
      subject,
      body: text,
      madeAt: new Date(now()).toISOString(),
    });
  };
  const address = async (outingId: string) => {
    const page = await words.page(outingId);
    return page && page.offAt === null ? `${page.base}${pagePath(page)}` : '';
  };
  const toldOf = async (left: LeftPlan, status: PlanStatus): Promise<string> => {
    const { title, text } = sayStatus(left.plan, status, now());
    return [
      title,
      text,
      '',
      ...whatToDo(left.plan, status, now()).map((one, i) => `${i + 1}. ${one}`),
      '',
      ...(status.state === 'overdue' ? ['To be read out:', ...left.plan.script, ''] : []),
      await address(left.outingId),
      'Nobody but you is watching this: the clock is yours.',
    ]
      .filter((line, i, all) => line !== '' || all[i - 1] !== '')
      .join('\n')
      .trim();
  };
  /** Nobody waits for an outing that was written up ashore, or taken away. */
  const isOver = async (outingId: string) => {
    const kept = await outings.get(outingId);
    // One that cannot be read is waited for all the same.
    return !kept || (!isSetAside(kept) && kept.doc.log !== null);
  };
  return {
    /** Plans of those who are out, that somebody has and waits for, each as it stands. */
    out: (): Promise<{ left: LeftPlan; status: PlanStatus }[]> =>
      asHouse(async () => {
        const at = now();
        const list: { left: LeftPlan; status: PlanStatus }[] = [];
        const plans = await words.plans({
          launchBefore: new Date(at + DAY_MS).toISOString(),
          callAfter: new Date(at - UNHEARD_MS).toISOString(),
        });
        const heard = await words.heardOf(plans.map(({ outingId }) => outingId));
        for (const left of plans) {
          const status = statusOf(left.plan, heard.get(left.outingId) ?? [], at);
          const isOut = status.state !== 'left' && status.state !== 'home';
          const waits = isOut && at <= status.callAt + UNHEARD_MS;
          if (waits && !(await isOver(left.outingId))) list.push({ left, status });
        }
        return list;
      }),
    /** A plan was left: whoever has it is written to. */
    left: (left: LeftPlan) =>
      asHouse(async () =>
        write(
          left,
          'left',
          `left:${left.id}`,
          `${plainText(left.plan, await address(left.outingId))}\n\nNobody but you is watching this: the clock is yours.`,
          `Plan of ${left.plan.who || 'a kayak angler'}: ${left.plan.title}`,
        ),
      ),
    /** They are home: whoever waited is told. */
    home: (left: LeftPlan, status: PlanStatus) =>
      asHouse(async () => {
        if (status.state !== 'home' || !status.heard) return;
        await write(
          left,
          'home',
          `home:${left.outingId}:${status.heard.key}`,
          await toldOf(left, status),
          `Home: ${left.plan.who || left.plan.title}`,
        );
      }),
    async tick(): Promise<void> {
      for (const { left, status } of await this.out()) {
        if (status.state !== 'late' && status.state !== 'overdue') continue;
        const name = left.plan.who || left.plan.title;
        await write(
          left,
          status.state,
          `${status.state}:${left.outingId}:${status.callAt}`,
          await toldOf(left, status),
          status.state === 'late' ? `Late: ${name}` : `Overdue, call now: ${name}`,
        );
      }
      if (!post) return;
      for (const message of await words.unsent()) {
        if (!(await words.take(message))) continue;
        const { id, toAddress, subject, body } = message;
        try {
          await post({ to: toAddress, subject, text: body });
          await words.sent(id, new Date(now()).toISOString());
        } catch (error) {
          await words.failed(id, error instanceof Error ? error.message : String(error));
        }
      }
    },
  };
}
export type Watch = ReturnType<typeof watchOver>;
