ALTER TABLE "trainee" ADD COLUMN "stature" real;--> statement-breakpoint
ALTER TABLE "trainee" ADD COLUMN "reach" real;--> statement-breakpoint
ALTER TABLE "trainee" ADD COLUMN "age_group" text;--> statement-breakpoint
ALTER TABLE "trainee" ADD CONSTRAINT "age_group_is_known" CHECK ("trainee"."age_group" in ('child', 'youth', 'adult'));--> statement-breakpoint
ALTER TABLE "trainee" ADD CONSTRAINT "stature_of_people" CHECK ("trainee"."stature" between 90 and 230);--> statement-breakpoint
ALTER TABLE "trainee" ADD CONSTRAINT "reach_of_people" CHECK ("trainee"."reach" between 30 and 110);