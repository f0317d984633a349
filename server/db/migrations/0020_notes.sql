CREATE TABLE "note" (
	"id" uuid PRIMARY KEY NOT NULL,
	"session_id" uuid NOT NULL,
	"strike_id" uuid,
	"text" text DEFAULT '' NOT NULL,
	"voice" "bytea",
	"voice_type" text,
	"voice_lasts" double precision,
	"said_by" uuid,
	"said_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "note_says_something" CHECK ("note"."text" <> '' or "note"."voice" is not null),
	CONSTRAINT "voice_is_whole" CHECK (("note"."voice" is null) = ("note"."voice_type" is null) and ("note"."voice" is null) = ("note"."voice_lasts" is null))
);
--> statement-breakpoint
ALTER TABLE "note" ADD CONSTRAINT "note_session_id_training_session_id_fk" FOREIGN KEY ("session_id") REFERENCES "public"."training_session"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note" ADD CONSTRAINT "note_strike_id_strike_id_fk" FOREIGN KEY ("strike_id") REFERENCES "public"."strike"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "note" ADD CONSTRAINT "note_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "note_of_session" ON "note" USING btree ("session_id","said_at");--> statement-breakpoint
CREATE INDEX "note_of_strike" ON "note" USING btree ("strike_id");--> statement-breakpoint
CREATE INDEX "note_said_by" ON "note" USING btree ("said_by");