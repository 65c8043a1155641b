CREATE TABLE "pictures" (
	"id" text PRIMARY KEY NOT NULL,
	"media_type" text NOT NULL,
	"data" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "anglers" ADD COLUMN "change_no" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "craft" ADD COLUMN "change_no" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "items" ADD COLUMN "change_no" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "outings" ADD COLUMN "change_no" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "rule_packs" ADD COLUMN "change_no" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "species" ADD COLUMN "change_no" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "walk_answers" ADD COLUMN "clock_ahead_ms" bigint;--> statement-breakpoint
ALTER TABLE "waters" ADD COLUMN "change_no" bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
CREATE INDEX "anglers_change_no" ON "anglers" USING btree ("change_no");--> statement-breakpoint
CREATE INDEX "craft_change_no" ON "craft" USING btree ("change_no");--> statement-breakpoint
CREATE INDEX "items_change_no" ON "items" USING btree ("change_no");--> statement-breakpoint
CREATE INDEX "outings_change_no" ON "outings" USING btree ("change_no");--> statement-breakpoint
CREATE INDEX "rule_packs_change_no" ON "rule_packs" USING btree ("change_no");--> statement-breakpoint
CREATE INDEX "species_change_no" ON "species" USING btree ("change_no");--> statement-breakpoint
CREATE INDEX "waters_change_no" ON "waters" USING btree ("change_no");