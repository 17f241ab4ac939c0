CREATE TABLE "polars" (
	"key" text PRIMARY KEY NOT NULL,
	"polar" jsonb NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
