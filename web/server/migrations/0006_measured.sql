ALTER TABLE "measurements" ADD COLUMN "source" text DEFAULT 'typed' NOT NULL;--> statement-breakpoint
ALTER TABLE "measurements" ADD COLUMN "leg" text;--> statement-breakpoint
ALTER TABLE "measurements" ADD COLUMN "part" text;--> statement-breakpoint
ALTER TABLE "measurements" ADD COLUMN "of_case" text;--> statement-breakpoint
ALTER TABLE "measurements" ADD COLUMN "conditions" jsonb;--> statement-breakpoint
ALTER TABLE "measurements" ADD COLUMN "segment" jsonb;--> statement-breakpoint
ALTER TABLE "measurements" ADD COLUMN "reason" text;