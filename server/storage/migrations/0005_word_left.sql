CREATE TABLE "check_ins" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"key" uuid NOT NULL,
	"outing_id" text NOT NULL,
	"what" text NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"home_by" timestamp with time zone,
	"recorded_at" timestamp with time zone DEFAULT now() NOT NULL,
	"clock_ahead_ms" bigint,
	CONSTRAINT "check_ins_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "outbox" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"mark" text NOT NULL,
	"outing_id" text NOT NULL,
	"kind" text NOT NULL,
	"to_name" text NOT NULL,
	"to_address" text NOT NULL,
	"subject" text NOT NULL,
	"body" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"sent_at" timestamp with time zone,
	"trouble" text DEFAULT '' NOT NULL,
	"tries" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "outbox_mark_unique" UNIQUE("mark")
);
--> statement-breakpoint
CREATE TABLE "plans_left" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"key" uuid NOT NULL,
	"outing_id" text NOT NULL,
	"plan" jsonb NOT NULL,
	"left_at" timestamp with time zone NOT NULL,
	CONSTRAINT "plans_left_key_unique" UNIQUE("key")
);
--> statement-breakpoint
CREATE TABLE "watch_pages" (
	"outing_id" text PRIMARY KEY NOT NULL,
	"token" text NOT NULL,
	"base" text NOT NULL,
	"off_at" timestamp with time zone,
	CONSTRAINT "watch_pages_token_unique" UNIQUE("token")
);
--> statement-breakpoint
ALTER TABLE "check_ins" ADD CONSTRAINT "check_ins_outing_id_outings_id_fk" FOREIGN KEY ("outing_id") REFERENCES "public"."outings"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "outbox" ADD CONSTRAINT "outbox_outing_id_outings_id_fk" FOREIGN KEY ("outing_id") REFERENCES "public"."outings"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "plans_left" ADD CONSTRAINT "plans_left_outing_id_outings_id_fk" FOREIGN KEY ("outing_id") REFERENCES "public"."outings"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "watch_pages" ADD CONSTRAINT "watch_pages_outing_id_outings_id_fk" FOREIGN KEY ("outing_id") REFERENCES "public"."outings"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "check_ins_outing" ON "check_ins" USING btree ("outing_id");--> statement-breakpoint
CREATE INDEX "outbox_outing" ON "outbox" USING btree ("outing_id");--> statement-breakpoint
CREATE INDEX "plans_left_outing" ON "plans_left" USING btree ("outing_id");--> statement-breakpoint
CREATE TRIGGER plans_left_append_only BEFORE UPDATE OR DELETE ON "plans_left" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER check_ins_append_only BEFORE UPDATE OR DELETE ON "check_ins" FOR EACH ROW EXECUTE FUNCTION refuse_change();
