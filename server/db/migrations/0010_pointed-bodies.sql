CREATE TABLE "pointed_body" (
	"id" uuid PRIMARY KEY NOT NULL,
	"film_id" uuid NOT NULL,
	"frame" integer NOT NULL,
	"x" double precision NOT NULL,
	"y" double precision NOT NULL,
	"side" double precision NOT NULL,
	"said_by" uuid,
	"said_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"followed" boolean DEFAULT false NOT NULL,
	CONSTRAINT "pointed_body_in_film" CHECK ("pointed_body"."frame" >= 0 and "pointed_body"."side" > 0)
);
--> statement-breakpoint
ALTER TABLE "film_points" ADD COLUMN "revision" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "pointed_body" ADD CONSTRAINT "pointed_body_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "pointed_body" ADD CONSTRAINT "pointed_body_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "pointed_body_of_film" ON "pointed_body" USING btree ("film_id");--> statement-breakpoint
CREATE INDEX "pointed_body_said_by" ON "pointed_body" USING btree ("said_by");