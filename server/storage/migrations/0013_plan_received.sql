ALTER TABLE "watch_pages" ADD COLUMN "opened_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "watch_pages" ADD COLUMN "told_at" timestamp with time zone;