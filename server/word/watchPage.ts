import type { FloatPlan } from '#core/floatplan/floatPlan';
import { sketchOf } from '#core/floatplan/sketch';
import { type PlanStatus, sayHours, sayMomentInFull, sayStatus, whatToDo } from '#core/floatplan/status';

const escaped = (text: string) =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
    .replaceAll("'", '&#39;');

const STYLE = `
:root{color-scheme:light dark;--paper:#f7f4ec;--ink:#17303a;--stop:#a8481f;--soft:#5b6b73}
@media(prefers-color-scheme:dark){:root{--paper:#10191d;--ink:#e9e4d6;--stop:#f0a27c;--soft:#a9b6bb}}
*{box-sizing:border-box}body{margin:0;padding:16px;background:var(--paper);color:var(--ink);font:18px/1.45 'Atkinson Hyperlegible Next','Atkinson Hyperlegible',Verdana,sans-serif}
main{max-width:680px;margin:0 auto}h1,h2{font-family:Fraunces,Georgia,serif;font-weight:600;line-height:1.15}h1{font-size:30px;margin:8px 0}h2{font-size:21px;margin:28px 0 6px;border-top:1px solid;padding-top:14px}
p{margin:6px 0}.state{border:2px solid;padding:10px 14px;margin:14px 0}.overdue{border-width:5px;color:var(--stop)}.late{border-style:dashed}
dl{margin:0}dt{color:var(--soft);font-size:15px;margin-top:8px}dd{margin:0;overflow-wrap:anywhere}ol{padding-left:1.4em;margin:6px 0}li{margin:6px 0}
.script p{border-left:3px solid;padding-left:12px}a{color:inherit}svg{width:100%;height:auto;color:var(--ink)}footer{color:var(--soft);font-size:15px;margin:30px 0}`;

function page(title: string, body: string, refresh: boolean): string {
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta name="robots" content="noindex,nofollow"><meta name="referrer" content="no-referrer">${refresh ? '<meta http-equiv="refresh" content="60">' : ''}<title>${escaped(title)}</title><style>${STYLE}</style></head><body><main>${body}</main></body></html>`;
}

/** Telephone numbers within a line can be pressed. */
function withCalls(text: string): string {
  return escaped(text).replaceAll(
    /\+?\d[\d ]{5,}\d/g,
    (number) => `<a href="tel:${number.replaceAll(' ', '')}">${number}</a>`,
  );
}

/**
 * The plan as whoever has its address sees it: no account, no script, nothing but the plan and how it stands.
 */
export function watchPage(plan: FloatPlan, status: PlanStatus, leftAt: string, now: number): string {
  const { title, text } = sayStatus(plan, status, now, sayMomentInFull);
  const stillOut = status.state !== 'home';
  const advice = whatToDo(plan, status, now, sayMomentInFull);
  const body = [
    `<p>${escaped(plan.who || 'A kayak angler')}</p><h1>${escaped(plan.title)}</h1>`,
    `<div class="state ${status.state}" role="status"><h2 style="border:0;padding:0;margin:0">${escaped(title)}</h2><p>${escaped(text)}</p></div>`,
    `<h2>What to do now</h2><ol>${advice.map((one) => `<li>${withCalls(one)}</li>`).join('')}</ol>`,
    stillOut
      ? `<h2>To be read out</h2><div class="script">${plan.script.map((one) => `<p>${escaped(one)}</p>`).join('')}</div>`
      : '',
    ...[{ heading: 'When', lines: sayHours(plan, status) }, ...plan.sections].map(
      ({ heading, lines }) =>
        `<h2>${escaped(heading)}</h2><dl>${lines.map(({ label, text: said }) => `<dt>${escaped(label)}</dt><dd>${withCalls(said)}</dd>`).join('')}</dl>`,
    ),
    `<h2>The way</h2>${sketchOf(plan, 'currentColor', 'var(--paper)')}`,
    `<footer><p>Left at ${escaped(sayMomentInFull(Date.parse(leftAt), plan.zone))}. This page was made at ${escaped(sayMomentInFull(now, plan.zone))} and looks again by itself each minute.</p><p>It shows what the angler has said, and no more: nothing here follows the boat, and nobody but you is watching. Estimates are estimates.</p></footer>`,
  ].join('');
  return page(`${title}: ${plan.who || plan.title}`, body, stillOut);
}

/** What stands where no plan can be watched: whether it ever could is not said. */
export function noPage(): string {
  return page(
    'No plan here',
    '<h1>No plan can be watched here</h1><p>The address is not whole, or the page was switched off, by the angler or a day after coming home. If somebody is missing, use the plan you were sent, and call.</p>',
    false,
  );
}
