import type { FloatPlan } from '#core/floatplan/floatPlan';
import { serveJobs } from '../workers/serve';
import { type Paper, planPdf } from './planPdf';

export interface PlanPage {
  plan: FloatPlan;
  paper: Paper;
  /** The address of its watch page; empty: none. */
  page: string;
  now: number;
}

serveJobs(async function* ({ plan, paper, page, now }: PlanPage) {
  yield new Uint8Array(await planPdf(plan, paper, page, now));
});
