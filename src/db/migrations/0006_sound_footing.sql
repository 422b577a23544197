CREATE SEQUENCE "public"."history_order" INCREMENT BY 1 MINVALUE 1 MAXVALUE 9223372036854775807 START WITH 1 CACHE 1;--> statement-breakpoint
CREATE TABLE "request" (
	"id" uuid PRIMARY KEY NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
DROP INDEX "verdict_newest";--> statement-breakpoint
ALTER TABLE "edit" ADD COLUMN "place" bigint DEFAULT nextval('history_order') NOT NULL;--> statement-breakpoint
ALTER TABLE "fingering" ADD COLUMN "follows" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "fingering_version" ADD COLUMN "basis" text;--> statement-breakpoint
ALTER TABLE "passage" ADD COLUMN "printed_bars" jsonb;--> statement-breakpoint
ALTER TABLE "passage" ADD COLUMN "revision" integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE "passage_change" ADD COLUMN "place" bigint DEFAULT nextval('history_order') NOT NULL;--> statement-breakpoint
ALTER TABLE "piece" ADD COLUMN "source_sum" text GENERATED ALWAYS AS (encode(sha256(source), 'hex')) STORED NOT NULL;--> statement-breakpoint
ALTER TABLE "verdict_event" ADD COLUMN "place" bigint DEFAULT nextval('history_order') NOT NULL;--> statement-breakpoint
CREATE INDEX "verdict_newest" ON "verdict_event" USING btree ("passage_id","place");--> statement-breakpoint
CREATE TEMPORARY TABLE "numbered" AS
	SELECT log, id, row_number() OVER (ORDER BY at, o, log, id) AS "place" FROM (
		SELECT 'edit' AS log, id, created_at AS at, "order" AS o FROM "edit"
		UNION ALL SELECT 'change', id, created_at, "order" FROM "passage_change"
		UNION ALL SELECT 'verdict', id, at, 0 FROM "verdict_event") AS happened;--> statement-breakpoint
UPDATE "edit" SET "place" = "numbered"."place" FROM "numbered" WHERE log = 'edit' AND "numbered".id = "edit".id;--> statement-breakpoint
UPDATE "passage_change" SET "place" = "numbered"."place" FROM "numbered" WHERE log = 'change' AND "numbered".id = "passage_change".id;--> statement-breakpoint
UPDATE "verdict_event" SET "place" = "numbered"."place" FROM "numbered" WHERE log = 'verdict' AND "numbered".id = "verdict_event".id;--> statement-breakpoint
SELECT setval('history_order', 1 + (SELECT count(*) FROM "numbered"));--> statement-breakpoint
DROP TABLE "numbered";
