CREATE TABLE "invited_for" (
	"link_id" uuid NOT NULL,
	"trainee_id" uuid NOT NULL,
	CONSTRAINT "invited_for_link_id_trainee_id_pk" PRIMARY KEY("link_id","trainee_id")
);
--> statement-breakpoint
CREATE TABLE "own_trainee" (
	"account_id" uuid NOT NULL,
	"trainee_id" uuid NOT NULL,
	CONSTRAINT "own_trainee_account_id_trainee_id_pk" PRIMARY KEY("account_id","trainee_id")
);
--> statement-breakpoint
ALTER TABLE "account" DROP CONSTRAINT "role_is_known";--> statement-breakpoint
ALTER TABLE "entry_link" DROP CONSTRAINT "link_role_is_known";--> statement-breakpoint
ALTER TABLE "account" DROP CONSTRAINT "account_trainee_id_trainee_id_fk";
--> statement-breakpoint
DROP INDEX "account_of_trainee";--> statement-breakpoint
ALTER TABLE "training_session" ADD COLUMN "released_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "invited_for" ADD CONSTRAINT "invited_for_link_id_entry_link_id_fk" FOREIGN KEY ("link_id") REFERENCES "public"."entry_link"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "invited_for" ADD CONSTRAINT "invited_for_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_trainee" ADD CONSTRAINT "own_trainee_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "own_trainee" ADD CONSTRAINT "own_trainee_trainee_id_trainee_id_fk" FOREIGN KEY ("trainee_id") REFERENCES "public"."trainee"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "invited_for_trainee" ON "invited_for" USING btree ("trainee_id");--> statement-breakpoint
CREATE INDEX "own_trainee_of_trainee" ON "own_trainee" USING btree ("trainee_id");--> statement-breakpoint
INSERT INTO "own_trainee" SELECT "id", "trainee_id" FROM "account" WHERE "trainee_id" IS NOT NULL;--> statement-breakpoint
ALTER TABLE "account" DROP COLUMN "trainee_id";--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "role_is_known" CHECK ("account"."role" in ('head-coach', 'coach', 'assistant', 'trainee', 'guardian'));--> statement-breakpoint
ALTER TABLE "entry_link" ADD CONSTRAINT "link_role_is_known" CHECK ("entry_link"."role" in ('head-coach', 'coach', 'assistant', 'trainee', 'guardian'));