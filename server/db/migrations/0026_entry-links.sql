CREATE TABLE "entry_link" (
	"id" uuid PRIMARY KEY NOT NULL,
	"kind" text NOT NULL,
	"code_hash" text NOT NULL,
	"name" text NOT NULL,
	"role" text NOT NULL,
	"account_id" uuid,
	"ends_at" timestamp with time zone NOT NULL,
	"made_by" uuid,
	CONSTRAINT "entry_link_codeHash_unique" UNIQUE("code_hash"),
	CONSTRAINT "link_kind_is_known" CHECK ("entry_link"."kind" in ('join', 'reset')),
	CONSTRAINT "link_role_is_known" CHECK ("entry_link"."role" in ('head-coach', 'coach', 'trainee')),
	CONSTRAINT "reset_of_somebody" CHECK (("entry_link"."kind" = 'reset') = ("entry_link"."account_id" is not null))
);
--> statement-breakpoint
ALTER TABLE "entry_link" ADD CONSTRAINT "entry_link_account_id_account_id_fk" FOREIGN KEY ("account_id") REFERENCES "public"."account"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "entry_link" ADD CONSTRAINT "entry_link_made_by_account_id_fk" FOREIGN KEY ("made_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "entry_link_of_account" ON "entry_link" USING btree ("account_id");--> statement-breakpoint
CREATE INDEX "entry_link_made_by" ON "entry_link" USING btree ("made_by");