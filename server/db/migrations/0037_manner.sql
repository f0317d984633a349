ALTER TABLE "account" ADD COLUMN "units" text DEFAULT 'metric' NOT NULL;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "days" text DEFAULT 'day-first' NOT NULL;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "clock" text DEFAULT '24' NOT NULL;--> statement-breakpoint
ALTER TABLE "account" ADD COLUMN "decimals" text DEFAULT 'point' NOT NULL;--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_units_are_known" CHECK ("account"."units" in ('metric', 'imperial'));--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_days_are_known" CHECK ("account"."days" in ('day-first', 'month-first', 'year-first'));--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_clock_is_known" CHECK ("account"."clock" in ('24', '12'));--> statement-breakpoint
ALTER TABLE "account" ADD CONSTRAINT "account_decimals_are_known" CHECK ("account"."decimals" in ('point', 'comma'));