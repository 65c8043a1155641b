import type { MessageKind } from '#core/floatplan/message';
import { plainText } from '#core/floatplan/plainText';
import { type PlanStatus, sayMomentInFull, sayStatus, statusOf, whatToDo } from '#core/floatplan/status';
import { DAY_MS } from '#core/units/time';
import type { Database } from '../storage/open';
import { runAsServer } from '../people/scope';
import { type KeptMessage, type LeftPlan, type WatchPage, wordStore } from './store';

/** A page of an outing that came home stays so long; one of which nothing was heard, longer. */
const AFTER_HOME_MS = DAY_MS;
const UNHEARD_MS = 14 * DAY_MS;
/** Messages sent side by side. */
const SENT_AT_ONCE = 8;

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
 * Keeps the clock of all plans that are out: writes what is late and overdue, each once, and sends what is
 * written where there is a way. Several processes may do so at once.
 * @param post null: nothing is sent, only written and shown
 * @param failed told of a plan for which nothing could be written
 */
export function watchOver(
  db: Database,
  now: () => number,
  post: Post | null,
  failed: (error: unknown, outingId: string) => void = () => undefined,
) {
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
    const { title, text } = sayStatus(left.plan, status, now(), sayMomentInFull);
    return [
      title,
      text,
      '',
      ...whatToDo(left.plan, status, now(), sayMomentInFull).map((one, i) => `${i + 1}. ${one}`),
      '',
      ...(status.state === 'overdue' ? ['To be read out:', ...left.plan.script, ''] : []),
      await address(left.outingId),
      'Nobody but you is watching this: the clock is yours.',
    ]
      .filter((line, i, all) => line !== '' || all[i - 1] !== '')
      .join('\n')
      .trim();
  };
  const sendOne = async (message: KeptMessage, by: Post) => {
    if (!(await words.take(message))) return;
    const { id, toAddress, subject, body } = message;
    try {
      await by({ to: toAddress, subject, text: body });
      await words.sent(id, new Date(now()).toISOString());
    } catch (error) {
      await words.failed(id, error instanceof Error ? error.message : String(error));
    }
  };
  return {
    /** Plans of those who are out, that somebody has and waits for, each as it stands. */
    out: (): Promise<{ left: LeftPlan; status: PlanStatus }[]> =>
      runAsServer(async () => {
        const at = now();
        const list: { left: LeftPlan; status: PlanStatus }[] = [];
        const plans = await words.waitedFor({
          launchBefore: new Date(at + DAY_MS).toISOString(),
          callAfter: new Date(at - UNHEARD_MS).toISOString(),
        });
        const heard = await words.heardOf(plans.map(({ outingId }) => outingId));
        for (const left of plans) {
          const status = statusOf(left.plan, heard.get(left.outingId) ?? [], at);
          const isOut = status.state !== 'left' && status.state !== 'home';
          if (isOut && at <= status.callAt + UNHEARD_MS) list.push({ left, status });
        }
        return list;
      }),
    /** A plan was left: whoever has it is written to. */
    left: (left: LeftPlan) =>
      runAsServer(async () =>
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
      runAsServer(async () => {
        if (status.state !== 'home' || !status.heard) return;
        await write(
          left,
          'home',
          `home:${left.outingId}:${status.heard.key}`,
          await toldOf(left, status),
          `Home: ${left.plan.who || left.plan.title}`,
        );
      }),
    /** Writes what is late and overdue, each once. A plan that fails is logged and holds up no other. */
    async tick(): Promise<void> {
      for (const { left, status } of await this.out()) {
        if (status.state !== 'late' && status.state !== 'overdue') continue;
        const name = left.plan.who || left.plan.title;
        try {
          await write(
            left,
            status.state,
            `${status.state}:${left.outingId}:${status.callAt}`,
            await toldOf(left, status),
            status.state === 'late' ? `Late: ${name}` : `Overdue, call now: ${name}`,
          );
        } catch (error) {
          failed(error, left.outingId);
        }
      }
    },
    /**
     * Sends what is written and not sent, several at once, so that a message that hangs holds up no other.
     */
    async send(): Promise<void> {
      if (!post) return;
      await Promise.all((await words.due(now(), SENT_AT_ONCE)).map((message) => sendOne(message, post)));
    },
  };
}
export type Watch = ReturnType<typeof watchOver>;
