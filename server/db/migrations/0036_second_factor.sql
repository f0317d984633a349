CREATE TABLE "second_factor" (
	"account_id" uuid PRIMARY KEY NOT NULL,
	"secret" text NOT NULL,
	"since" timestamp with time zone DEFAULT now() NOT NULL,
	"last_step" bigint DEFAULT 0 NOT NULL,
	"code_hashes" text[] NOT NULL
);
--> statement-breakpoint
ALTER TABLE "second_factor" ADD CONSTRAINT "second_factor_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
/* That a code was taken is no act of its own: that somebody signed in is written. */
CREATE TRIGGER journal AFTER INSERT OR DELETE ON "second_factor" FOR EACH ROW EXECUTE FUNCTION write_journal('account_id', '', '');
