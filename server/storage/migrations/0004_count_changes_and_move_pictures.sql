-- Every change of a document has a number, counted over all kinds, so that what changed since can be read.
CREATE SEQUENCE document_changes;
--> statement-breakpoint
-- Writers go one after another: a lower number never comes in after a higher one was read, and no two wait for each other.
CREATE FUNCTION take_turn() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  PERFORM pg_advisory_xact_lock(7402, 1);
  RETURN NULL;
END;
$$;
--> statement-breakpoint
CREATE FUNCTION number_change() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  NEW.change_no := nextval('document_changes');
  RETURN NEW;
END;
$$;
--> statement-breakpoint
DO $$
DECLARE name text;
BEGIN
  FOREACH name IN ARRAY ARRAY['anglers', 'craft', 'items', 'waters', 'rule_packs', 'species', 'outings'] LOOP
    EXECUTE format('CREATE TRIGGER %I BEFORE INSERT OR UPDATE ON %I FOR EACH STATEMENT EXECUTE FUNCTION take_turn()', name || '_take_turn', name);
    EXECUTE format('CREATE TRIGGER %I BEFORE INSERT OR UPDATE ON %I FOR EACH ROW EXECUTE FUNCTION number_change()', name || '_number_change', name);
    EXECUTE format('UPDATE %I SET version = version', name);
  END LOOP;
END;
$$;
--> statement-breakpoint
-- Pictures leave the items they were written into, and are named by what they show.
INSERT INTO "pictures" ("id", "media_type", "data")
SELECT encode(sha256(decode(split_part("doc" ->> 'photo', ',', 2), 'base64')), 'hex'),
  substring("doc" ->> 'photo' from 'data:([^;]+);'),
  split_part("doc" ->> 'photo', ',', 2)
FROM "items" WHERE "doc" ->> 'photo' LIKE 'data:image/%;base64,%'
ON CONFLICT DO NOTHING;
--> statement-breakpoint
-- Only what is known to be of the first form is touched.
UPDATE "items" SET "doc" = jsonb_set(
  jsonb_set("doc", '{photo}', to_jsonb(encode(sha256(decode(split_part("doc" ->> 'photo', ',', 2), 'base64')), 'hex'))),
  '{format}', '"item/2"')
WHERE "doc" ->> 'format' = 'item/1' AND "doc" ->> 'photo' LIKE 'data:image/%;base64,%';
