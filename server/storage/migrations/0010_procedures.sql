CREATE TABLE "procedures" (
	"id" text PRIMARY KEY NOT NULL,
	"version" integer NOT NULL,
	"doc" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL,
	"deleted_at" timestamp with time zone,
	"change_no" bigint DEFAULT 0 NOT NULL,
	"owner" text GENERATED ALWAYS AS (case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end) STORED NOT NULL
);
--> statement-breakpoint
CREATE INDEX "procedures_change_no" ON "procedures" USING btree ("change_no");--> statement-breakpoint
CREATE INDEX "procedures_owner" ON "procedures" USING btree ("owner","change_no");
--> statement-breakpoint
CREATE TRIGGER "procedures_take_turn" BEFORE INSERT OR UPDATE ON "procedures" FOR EACH STATEMENT EXECUTE FUNCTION take_turn();
--> statement-breakpoint
CREATE TRIGGER "procedures_number_change" BEFORE INSERT OR UPDATE ON "procedures" FOR EACH ROW EXECUTE FUNCTION number_change();
