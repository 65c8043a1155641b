DROP INDEX "plans_left_outing";--> statement-breakpoint
DROP INDEX "signatures_outing";--> statement-breakpoint
ALTER TABLE "imports" ADD COLUMN "owner" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "plans_left" ADD COLUMN "launch_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "plans_left" ADD COLUMN "call_at" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "outbox_unsent" ON "outbox" USING btree ("made_at") WHERE sent_at is null and to_address <> '';--> statement-breakpoint
CREATE INDEX "plans_left_in_force" ON "plans_left" USING btree ("outing_id","left_at");--> statement-breakpoint
CREATE INDEX "plans_left_call" ON "plans_left" USING btree ("call_at");--> statement-breakpoint
CREATE INDEX "signatures_in_force" ON "signatures" USING btree ("outing_id","signed_at");--> statement-breakpoint
-- A plan may hold any JSON: a time that cannot be read becomes null instead of failing the query that reads it.
CREATE FUNCTION moment_in(value text) RETURNS timestamptz LANGUAGE plpgsql STABLE AS $$
BEGIN
  RETURN value::timestamptz;
EXCEPTION WHEN others THEN
  RETURN NULL;
END;
$$;
--> statement-breakpoint
CREATE FUNCTION write_plan_hours() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  NEW.launch_at := moment_in(NEW.plan -> 'times' ->> 'launchAt');
  NEW.call_at := moment_in(NEW.plan -> 'times' ->> 'callAt');
  RETURN NEW;
END;
$$;
--> statement-breakpoint
CREATE TRIGGER plans_left_hours BEFORE INSERT ON "plans_left" FOR EACH ROW EXECUTE FUNCTION write_plan_hours();
--> statement-breakpoint
ALTER TABLE "plans_left" DISABLE TRIGGER plans_left_append_only;
--> statement-breakpoint
UPDATE "plans_left" SET launch_at = moment_in(plan -> 'times' ->> 'launchAt'), call_at = moment_in(plan -> 'times' ->> 'callAt');
--> statement-breakpoint
ALTER TABLE "plans_left" ENABLE TRIGGER plans_left_append_only;
