CREATE TABLE "club" (
	"id" uuid PRIMARY KEY NOT NULL,
	"name" text NOT NULL,
	"host" text NOT NULL,
	"password" text NOT NULL,
	"closed" boolean DEFAULT false NOT NULL,
	"added_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "club_host_unique" UNIQUE("host"),
	CONSTRAINT "host_is_a_host" CHECK ("club"."host" ~ '^[a-z0-9]([a-z0-9.-]*[a-z0-9])?$')
);
--> statement-breakpoint
CREATE TABLE "worker_sign" (
	"worker" text PRIMARY KEY NOT NULL,
	"seen_at" timestamp with time zone NOT NULL
);
