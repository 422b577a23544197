ALTER TABLE "fingering" ADD COLUMN "title" text;--> statement-breakpoint
ALTER TABLE "fingering" ADD COLUMN "gone_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "passage" ADD COLUMN "gone_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD COLUMN "title" text;--> statement-breakpoint
ALTER TABLE "hand_measurement" ADD COLUMN "gone_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "instrument" ADD COLUMN "gone_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "pianist" ADD COLUMN "is_demo" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "pianist" ADD COLUMN "gone_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "recital" ADD COLUMN "gone_at" timestamp with time zone;--> statement-breakpoint
ALTER TABLE "piece" ADD COLUMN "gone_at" timestamp with time zone;--> statement-breakpoint
CREATE INDEX "recital_of_pianist" ON "recital" USING btree ("pianist_id");--> statement-breakpoint
ALTER TABLE "instrument" ADD CONSTRAINT "instrument_name" CHECK (length(trim("instrument"."name")) > 0);--> statement-breakpoint
ALTER TABLE "pianist" ADD CONSTRAINT "pianist_name" CHECK (length(trim("pianist"."name")) > 0);--> statement-breakpoint
ALTER TABLE "recital" ADD CONSTRAINT "recital_title" CHECK (length(trim("recital"."title")) > 0);--> statement-breakpoint
UPDATE "pianist" SET "is_demo" = true WHERE "name" = 'Maro Telland';
