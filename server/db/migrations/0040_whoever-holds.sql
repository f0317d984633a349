CREATE TABLE "holder_points" (
	"film_id" uuid NOT NULL,
	"from_frame" integer NOT NULL,
	"frames" integer NOT NULL,
	"model" text NOT NULL,
	"version" smallint NOT NULL,
	"packed" "bytea" NOT NULL,
	"revision" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "holder_points_film_id_from_frame_pk" PRIMARY KEY("film_id","from_frame"),
	CONSTRAINT "holder_of_frames" CHECK ("holder_points"."frames" > 0)
);
--> statement-breakpoint
ALTER TABLE "holder_points" ADD CONSTRAINT "holder_points_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;