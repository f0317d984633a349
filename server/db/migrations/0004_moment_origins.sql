ALTER TABLE "strike" ADD COLUMN "launch_origin" text DEFAULT 'guessed' NOT NULL;--> statement-breakpoint
ALTER TABLE "strike" ADD COLUMN "contact_origin" text DEFAULT 'set' NOT NULL;--> statement-breakpoint
ALTER TABLE "strike" ADD COLUMN "home_origin" text DEFAULT 'guessed' NOT NULL;--> statement-breakpoint
ALTER TABLE "strike_revision" ADD COLUMN "launch_origin" text DEFAULT 'guessed' NOT NULL;--> statement-breakpoint
ALTER TABLE "strike_revision" ADD COLUMN "contact_origin" text DEFAULT 'set' NOT NULL;--> statement-breakpoint
ALTER TABLE "strike_revision" ADD COLUMN "home_origin" text DEFAULT 'guessed' NOT NULL;--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "launch_origin_is_known" CHECK ("strike"."launch_origin" in ('guessed', 'found', 'set'));--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "contact_origin_is_known" CHECK ("strike"."contact_origin" in ('guessed', 'found', 'set'));--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "home_origin_is_known" CHECK ("strike"."home_origin" in ('guessed', 'found', 'set'));