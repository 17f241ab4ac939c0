CREATE TABLE "models" (
	"id" serial PRIMARY KEY NOT NULL,
	"person_id" integer NOT NULL,
	"name" text NOT NULL,
	"model" jsonb NOT NULL,
	"updated_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "models" ADD CONSTRAINT "models_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "models_of_person" ON "models" USING btree ("person_id","name");