CREATE TABLE "audit" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"person_id" text,
	"what" text NOT NULL,
	"detail" text NOT NULL,
	"address" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "passes" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"token_hash" text NOT NULL,
	"kind" text NOT NULL,
	"made_by" text,
	"note" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone,
	CONSTRAINT "passes_tokenHash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "people" (
	"id" text PRIMARY KEY NOT NULL,
	"owner" text NOT NULL,
	"name" text NOT NULL,
	"name_key" text NOT NULL,
	"keeper" boolean NOT NULL,
	"password_hash" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"removed_at" timestamp with time zone,
	CONSTRAINT "people_owner_unique" UNIQUE("owner"),
	CONSTRAINT "people_nameKey_unique" UNIQUE("name_key")
);
--> statement-breakpoint
CREATE TABLE "recovery_codes" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"person_id" text NOT NULL,
	"code_hash" text NOT NULL,
	"used_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "sessions" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"token_hash" text NOT NULL,
	"person_id" text NOT NULL,
	"device" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"seen_at" timestamp with time zone NOT NULL,
	"expires_at" timestamp with time zone NOT NULL,
	"revoked_at" timestamp with time zone,
	CONSTRAINT "sessions_tokenHash_unique" UNIQUE("token_hash")
);
--> statement-breakpoint
CREATE TABLE "sign_in_tries" (
	"id" text PRIMARY KEY NOT NULL,
	"failures" integer NOT NULL,
	"last_at" timestamp with time zone NOT NULL,
	"until" timestamp with time zone NOT NULL
);
--> statement-breakpoint
ALTER TABLE "anglers" ADD COLUMN "owner" text GENERATED ALWAYS AS (case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "craft" ADD COLUMN "owner" text GENERATED ALWAYS AS (case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "items" ADD COLUMN "owner" text GENERATED ALWAYS AS (case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "outings" ADD COLUMN "owner" text GENERATED ALWAYS AS (case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "rule_packs" ADD COLUMN "owner" text GENERATED ALWAYS AS (case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "species" ADD COLUMN "owner" text GENERATED ALWAYS AS (case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "waters" ADD COLUMN "owner" text GENERATED ALWAYS AS (case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "passes" ADD CONSTRAINT "passes_made_by_people_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "recovery_codes" ADD CONSTRAINT "recovery_codes_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sessions" ADD CONSTRAINT "sessions_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "recovery_codes_person" ON "recovery_codes" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "sessions_person" ON "sessions" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "anglers_owner" ON "anglers" USING btree ("owner","change_no");--> statement-breakpoint
CREATE INDEX "craft_owner" ON "craft" USING btree ("owner","change_no");--> statement-breakpoint
CREATE INDEX "items_owner" ON "items" USING btree ("owner","change_no");--> statement-breakpoint
CREATE INDEX "outings_owner" ON "outings" USING btree ("owner","change_no");--> statement-breakpoint
CREATE INDEX "rule_packs_owner" ON "rule_packs" USING btree ("owner","change_no");--> statement-breakpoint
CREATE INDEX "species_owner" ON "species" USING btree ("owner","change_no");--> statement-breakpoint
CREATE INDEX "waters_owner" ON "waters" USING btree ("owner","change_no");--> statement-breakpoint
CREATE TRIGGER audit_append_only BEFORE UPDATE OR DELETE ON "audit" FOR EACH ROW EXECUTE FUNCTION refuse_change();
