CREATE TABLE "second_factor_demand" (
	"role" text PRIMARY KEY NOT NULL,
	CONSTRAINT "demanded_role_is_known" CHECK ("second_factor_demand"."role" in ('head-coach', 'coach', 'assistant', 'trainee', 'guardian'))
);
--> statement-breakpoint
CREATE TRIGGER journal AFTER INSERT OR UPDATE OR DELETE ON "second_factor_demand" FOR EACH ROW EXECUTE FUNCTION write_journal('role', '', '');
