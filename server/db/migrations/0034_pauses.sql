ALTER TABLE "film_hits" ADD COLUMN "talk" jsonb DEFAULT '[]'::jsonb NOT NULL;--> statement-breakpoint
ALTER TABLE "film_hits" ADD COLUMN "away" jsonb DEFAULT '[]'::jsonb NOT NULL;