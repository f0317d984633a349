CREATE TABLE "card_link" (
	"correction_id" uuid PRIMARY KEY NOT NULL,
	"code" text NOT NULL,
	"made_by" uuid,
	"ends_at" timestamp with time zone NOT NULL,
	CONSTRAINT "card_link_code_unique" UNIQUE("code")
);
--> statement-breakpoint
CREATE TABLE "card_still" (
	"correction_id" uuid NOT NULL,
	"role" text NOT NULL,
	"strike_id" uuid NOT NULL,
	"frame" integer,
	CONSTRAINT "card_still_correction_id_role_pk" PRIMARY KEY("correction_id","role"),
	CONSTRAINT "still_role_is_known" CHECK ("card_still"."role" in ('is', 'turns', 'should')),
	CONSTRAINT "still_frame_from_first" CHECK ("card_still"."frame" >= 0)
);
--> statement-breakpoint
ALTER TABLE "card_link" ADD CONSTRAINT "card_link_correction_id_correction_id_fk" FOREIGN KEY ("correction_id") REFERENCES "public"."correction"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "card_link" ADD CONSTRAINT "card_link_made_by_account_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "card_still" ADD CONSTRAINT "card_still_correction_id_correction_id_fk" FOREIGN KEY ("correction_id") REFERENCES "public"."correction"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "card_still" ADD CONSTRAINT "card_still_strike_id_strike_id_fk" FOREIGN KEY ("strike_id") REFERENCES "public"."strike"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "card_link_made_by" ON "card_link" USING btree ("made_by");--> statement-breakpoint
CREATE INDEX "card_still_of_strike" ON "card_still" USING btree ("strike_id");