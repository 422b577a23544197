ALTER TABLE "take_figures" ADD COLUMN "dose_right" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "take_figures" ADD COLUMN "dose_left" double precision DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "take_figures" ADD CONSTRAINT "take_figures_dose" CHECK ("take_figures"."dose_right" >= 0 and "take_figures"."dose_left" >= 0);