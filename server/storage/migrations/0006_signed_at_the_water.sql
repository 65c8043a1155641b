ALTER TABLE "signatures" ADD COLUMN "key" uuid;--> statement-breakpoint
ALTER TABLE "signatures" ADD CONSTRAINT "signatures_key_unique" UNIQUE("key");