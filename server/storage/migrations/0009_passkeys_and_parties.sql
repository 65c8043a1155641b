CREATE TABLE "passkeys" (
	"id" text PRIMARY KEY NOT NULL,
	"person_id" text NOT NULL,
	"name" text NOT NULL,
	"public_key" text NOT NULL,
	"counter" bigint NOT NULL,
	"transports" text NOT NULL,
	"created_at" timestamp with time zone NOT NULL,
	"used_at" timestamp with time zone
);
--> statement-breakpoint
CREATE TABLE "shares" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"outing_id" text NOT NULL,
	"companion_id" text NOT NULL,
	"person_id" text NOT NULL,
	"made_at" timestamp with time zone NOT NULL,
	"declined_at" timestamp with time zone,
	"own_outing_id" text,
	"ended_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "passkeys" ADD CONSTRAINT "passkeys_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shares" ADD CONSTRAINT "shares_outing_id_outings_id_fk" FOREIGN KEY ("outing_id") REFERENCES "public"."outings"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shares" ADD CONSTRAINT "shares_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shares" ADD CONSTRAINT "shares_own_outing_id_outings_id_fk" FOREIGN KEY ("own_outing_id") REFERENCES "public"."outings"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "passkeys_person" ON "passkeys" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "shares_outing" ON "shares" USING btree ("outing_id");--> statement-breakpoint
CREATE INDEX "shares_person" ON "shares" USING btree ("person_id");--> statement-breakpoint
CREATE INDEX "shares_own_outing" ON "shares" USING btree ("own_outing_id");