import { Type, type Static } from '@sinclair/typebox';
import { LettersSchema } from '../piece/index.js';
import { PieceSchema } from '../kinds/index.js';
import { IdSchema, PersonSchema, ProjectSchema, type Workshop } from '../project/index.js';
import { OpeningSchema } from '../survey/index.js';
import { SlideSchema, StockSchema } from '../stock/index.js';
import { ThingSchema } from '../things/index.js';

const closed = { additionalProperties: false } as const;

/** The format's name and the version this program reads and writes. */
export const FORMAT = 'ruvok-project';
export const VERSION = 1;

/** A piece as it is kept: what was intended, and the letters given to its parts. */
export const KeptPieceSchema = Type.Object({ piece: PieceSchema, letters: LettersSchema }, closed);
export type KeptPiece = Static<typeof KeptPieceSchema>;

/** A whole project in one file; records are kept under their ids. */
export const ProjectFileSchema = Type.Object(
  {
    format: Type.Literal(FORMAT),
    version: Type.Literal(VERSION),
    project: ProjectSchema,
    openings: Type.Record(IdSchema, OpeningSchema),
    things: Type.Record(IdSchema, ThingSchema),
    stock: Type.Record(IdSchema, StockSchema),
    /** Left out in files that were written before there were drawers. */
    slides: Type.Optional(Type.Record(IdSchema, SlideSchema)),
    people: Type.Record(IdSchema, PersonSchema),
    pieces: Type.Record(IdSchema, KeptPieceSchema),
  },
  closed,
);
export type ProjectFile = Static<typeof ProjectFileSchema>;

/** The schema of a project file as it is published. */
export function publishedSchema(): object {
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: 'A Ruvok project, format version 1',
    ...(JSON.parse(JSON.stringify(ProjectFileSchema)) as object),
  };
}

/** What the pieces of a project file are solved with. */
export function workshopOf(file: Pick<ProjectFile, 'project' | 'openings' | 'things' | 'stock' | 'slides'>): Workshop {
  return {
    settings: file.project.settings,
    openings: new Map(Object.entries(file.openings)),
    things: new Map(Object.entries(file.things)),
    stock: new Map(Object.entries(file.stock)),
    slides: new Map(Object.entries(file.slides ?? {})),
  };
}

/** The text of a project file, ending with a line break. */
export function writeProjectFile(file: ProjectFile): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}
