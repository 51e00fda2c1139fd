CREATE TABLE "folder" (
	"id" integer PRIMARY KEY NOT NULL,
	"documents" integer NOT NULL
);
