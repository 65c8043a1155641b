CREATE TABLE "imports" (
	"id" bigserial PRIMARY KEY NOT NULL,
	"key" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	"undo" jsonb NOT NULL,
	"undone_at" timestamp with time zone,
	CONSTRAINT "imports_key_unique" UNIQUE("key")
);
