ALTER TABLE "check_ins" DROP CONSTRAINT "check_ins_key_unique";--> statement-breakpoint
ALTER TABLE "plans_left" DROP CONSTRAINT "plans_left_key_unique";--> statement-breakpoint
ALTER TABLE "signatures" DROP CONSTRAINT "signatures_key_unique";--> statement-breakpoint
ALTER TABLE "walk_answers" DROP CONSTRAINT "walk_answers_key_unique";--> statement-breakpoint
ALTER TABLE "check_ins" ADD CONSTRAINT "check_ins_key" UNIQUE("outing_id","key");--> statement-breakpoint
ALTER TABLE "plans_left" ADD CONSTRAINT "plans_left_key" UNIQUE("outing_id","key");--> statement-breakpoint
ALTER TABLE "signatures" ADD CONSTRAINT "signatures_key" UNIQUE("outing_id","key");--> statement-breakpoint
ALTER TABLE "walk_answers" ADD CONSTRAINT "walk_answers_key" UNIQUE("outing_id","key");