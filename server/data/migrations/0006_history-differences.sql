ALTER TABLE "changes" ADD COLUMN "delta" jsonb;--> statement-breakpoint
ALTER TABLE "changes" ADD COLUMN "device" text;