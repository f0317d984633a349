ALTER TABLE "strike" ADD COLUMN "part" smallint;--> statement-breakpoint
ALTER TABLE "strike_revision" ADD COLUMN "part" smallint;--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "part_from_first" CHECK ("strike"."part" >= 0);