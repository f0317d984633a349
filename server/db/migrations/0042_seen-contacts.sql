ALTER TABLE "strike" DROP CONSTRAINT "launch_origin_is_known";--> statement-breakpoint
ALTER TABLE "strike" DROP CONSTRAINT "contact_origin_is_known";--> statement-breakpoint
ALTER TABLE "strike" DROP CONSTRAINT "home_origin_is_known";--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "launch_origin_is_known" CHECK ("strike"."launch_origin" in ('guessed', 'found', 'seen', 'set'));--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "contact_origin_is_known" CHECK ("strike"."contact_origin" in ('guessed', 'found', 'seen', 'set'));--> statement-breakpoint
ALTER TABLE "strike" ADD CONSTRAINT "home_origin_is_known" CHECK ("strike"."home_origin" in ('guessed', 'found', 'seen', 'set'));