CREATE TABLE "consent" (
	"id" uuid PRIMARY KEY NOT NULL,
	"trainee_id" uuid NOT NULL,
	"given_by" text NOT NULL,
	"as_guardian" boolean NOT NULL,
	"seen_by" text NOT NULL,
	"as_reference" boolean NOT NULL,
	"given_on" date NOT NULL,
	"until" date,
	"note" text DEFAULT '' NOT NULL,
	"withdrawn_at" timestamp with time zone,
	"written_by" uuid,
	"written_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "seen_by_is_known" CHECK ("consent"."seen_by" in ('coaches', 'club', 'anyone')),
	CONSTRAINT "consent_ends_after_it_began" CHECK ("consent"."until" >= "consent"."given_on")
);
--> statement-breakpoint
ALTER TABLE "film" DROP CONSTRAINT "film_state_is_known";--> statement-breakpoint
ALTER TABLE "consent" ADD CONSTRAINT "consent_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "consent" ADD CONSTRAINT "consent_written_by_account_id_fk" FOREIGN KEY ("written_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "consent_of_trainee" ON "consent" USING btree ("trainee_id","given_on");--> statement-breakpoint
CREATE INDEX "consent_withdrawn" ON "consent" USING btree ("withdrawn_at");--> statement-breakpoint
CREATE INDEX "consent_written_by" ON "consent" USING btree ("written_by");--> statement-breakpoint
ALTER TABLE "film" ADD CONSTRAINT "film_state_is_known" CHECK ("film"."state" in ('waiting', 'working', 'ready', 'failed', 'stopped', 'withdrawn'));