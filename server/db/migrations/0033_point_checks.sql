CREATE TABLE "point_check" (
	"id" uuid PRIMARY KEY NOT NULL,
	"film_id" uuid NOT NULL,
	"frame" integer NOT NULL,
	"point" text NOT NULL,
	"seen" text NOT NULL,
	"x" double precision,
	"y" double precision,
	"found_x" double precision NOT NULL,
	"found_y" double precision NOT NULL,
	"trunk" double precision NOT NULL,
	"said_by" uuid,
	"said_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "checked_point_is_known" CHECK ("point_check"."point" in ('nose', 'leftInnerEye', 'leftEye', 'leftOuterEye', 'rightInnerEye', 'rightEye', 'rightOuterEye', 'leftEar', 'rightEar', 'leftMouth', 'rightMouth', 'leftShoulder', 'rightShoulder', 'leftElbow', 'rightElbow', 'leftWrist', 'rightWrist', 'leftLittleKnuckle', 'rightLittleKnuckle', 'leftIndexKnuckle', 'rightIndexKnuckle', 'leftThumb', 'rightThumb', 'leftHip', 'rightHip', 'leftKnee', 'rightKnee', 'leftAnkle', 'rightAnkle', 'leftHeel', 'rightHeel', 'leftToe', 'rightToe')),
	CONSTRAINT "checked_from_somewhere" CHECK ("point_check"."seen" in ('near', 'far', 'along')),
	CONSTRAINT "checked_point_in_film" CHECK ("point_check"."frame" >= 0 and "point_check"."trunk" > 0),
	CONSTRAINT "checked_place_has_two_numbers" CHECK (("point_check"."x" is null) = ("point_check"."y" is null))
);
--> statement-breakpoint
ALTER TABLE "point_check" ADD CONSTRAINT "point_check_film_id_film_id_fk" FOREIGN KEY ("film_id") REFERENCES "public"."film"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "point_check" ADD CONSTRAINT "point_check_said_by_account_id_fk" FOREIGN KEY ("said_by") REFERENCES "public"."account"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "point_check_of_film" ON "point_check" USING btree ("film_id");--> statement-breakpoint
CREATE INDEX "point_check_said_by" ON "point_check" USING btree ("said_by");--> statement-breakpoint
CREATE TRIGGER journal AFTER DELETE ON "point_check" FOR EACH ROW EXECUTE FUNCTION write_journal('id', 'film_id');
