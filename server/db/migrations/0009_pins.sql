CREATE TABLE "point_pin" (
	"id" uuid PRIMARY KEY NOT NULL,
	"film_id" uuid NOT NULL,
	"frame" integer NOT NULL,
	"point" text NOT NULL,
	"said" text NOT NULL,
	"x" double precision,
	"y" double precision,
	"said_by" uuid,
	"said_at" timestamp (3) with time zone NOT NULL,
	"received_at" timestamp with time zone DEFAULT now() NOT NULL,
	"superseded" boolean DEFAULT false NOT NULL,
	CONSTRAINT "pinned_point_is_known" CHECK ("point_pin"."point" in ('nose', 'leftInnerEye', 'leftEye', 'leftOuterEye', 'rightInnerEye', 'rightEye', 'rightOuterEye', 'leftEar', 'rightEar', 'leftMouth', 'rightMouth', 'leftShoulder', 'rightShoulder', 'leftElbow', 'rightElbow', 'leftWrist', 'rightWrist', 'leftLittleKnuckle', 'rightLittleKnuckle', 'leftIndexKnuckle', 'rightIndexKnuckle', 'leftThumb', 'rightThumb', 'leftHip', 'rightHip', 'leftKnee', 'rightKnee', 'leftAnkle', 'rightAnkle', 'leftHeel', 'rightHeel', 'leftToe', 'rightToe')),
	CONSTRAINT "pin_word_is_known" CHECK ("point_pin"."said" in ('here', 'hidden', 'free')),
	CONSTRAINT "pin_in_film" CHECK ("point_pin"."frame" >= 0),
	CONSTRAINT "pin_has_a_place_when_here" CHECK (("point_pin"."said" = 'here') = ("point_pin"."x" is not null) and ("point_pin"."x" is null) = ("point_pin"."y" is null))
);
--> statement-breakpoint
ALTER TABLE "point_pin" ADD CONSTRAINT "point_pin_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "point_pin" ADD CONSTRAINT "point_pin_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "one_pin_counts" ON "point_pin" USING btree ("film_id","frame","point") WHERE not "point_pin"."superseded";--> statement-breakpoint
CREATE INDEX "pin_said_by" ON "point_pin" USING btree ("said_by");--> statement-breakpoint
CREATE INDEX "pin_of_film" ON "point_pin" USING btree ("film_id");