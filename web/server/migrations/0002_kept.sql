CREATE TABLE "log_files" (
	"id" serial PRIMARY KEY NOT NULL,
	"test_id" integer NOT NULL,
	"name" text NOT NULL,
	"sha256" text NOT NULL,
	"size" integer NOT NULL,
	"gzip" "bytea" NOT NULL,
	"added_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
CREATE TABLE "settings" (
	"key" text PRIMARY KEY NOT NULL,
	"value" text NOT NULL
);
--> statement-breakpoint
CREATE TABLE "test_revisions" (
	"id" serial PRIMARY KEY NOT NULL,
	"test_id" integer NOT NULL,
	"revision" integer NOT NULL,
	"body" jsonb NOT NULL,
	"name" text,
	"saved_at" timestamp with time zone DEFAULT now() NOT NULL,
	"saved_by" integer
);
--> statement-breakpoint
ALTER TABLE "projects" ADD COLUMN "deleted_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "projects" ADD COLUMN "deleted_by" integer;--> statement-breakpoint
ALTER TABLE "revisions" ADD COLUMN "name" text;--> statement-breakpoint
ALTER TABLE "tests" ADD COLUMN "updated_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "tests" ADD COLUMN "saved_by" integer;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "head" jsonb;--> statement-breakpoint
ALTER TABLE "versions" ADD COLUMN "saved_by" integer;--> statement-breakpoint
ALTER TABLE "log_files" ADD CONSTRAINT "log_files_test_id_tests_id_fk" FOREIGN KEY ("test_id") REFERENCES "public"."tests"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "test_revisions" ADD CONSTRAINT "test_revisions_test_id_tests_id_fk" FOREIGN KEY ("test_id") REFERENCES "public"."tests"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "test_revisions" ADD CONSTRAINT "test_revisions_saved_by_people_id_fk" FOREIGN KEY ("saved_by") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "log_files_once" ON "log_files" USING btree ("test_id","sha256");--> statement-breakpoint
CREATE UNIQUE INDEX "test_revisions_once" ON "test_revisions" USING btree ("test_id","revision");--> statement-breakpoint
ALTER TABLE "projects" ADD CONSTRAINT "projects_deleted_by_people_id_fk" FOREIGN KEY ("deleted_by") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tests" ADD CONSTRAINT "tests_saved_by_people_id_fk" FOREIGN KEY ("saved_by") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "versions" ADD CONSTRAINT "versions_saved_by_people_id_fk" FOREIGN KEY ("saved_by") REFERENCES "public"."people"("id") ON DELETE set null ON UPDATE no action;