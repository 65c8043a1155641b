-- Answers and signatures only ever grow: changing or removing a row is refused by the database itself.
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  RAISE EXCEPTION '% is append-only', TG_TABLE_NAME;
END;
$$;
--> statement-breakpoint
CREATE TRIGGER walk_answers_append_only BEFORE UPDATE OR DELETE ON "walk_answers" FOR EACH ROW EXECUTE FUNCTION refuse_change();
--> statement-breakpoint
CREATE TRIGGER signatures_append_only BEFORE UPDATE OR DELETE ON "signatures" FOR EACH ROW EXECUTE FUNCTION refuse_change();
