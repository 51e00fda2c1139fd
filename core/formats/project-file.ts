import { Type, type Static } from '@sinclair/typebox';
import { LettersSchema } from '../piece/index.js';
import { pieceSchema } from '../kinds/index.js';
import { VERSION } from './versions/index.js';
import { IdSchema } from '../ids/index.js';
import { BuildingSchema, LogEntrySchema } from '../build/spec.js';
import { CuttingSchema } from '../layout/index.js';
import { PersonSchema, ProjectSchema, type Workshop } from '../project/index.js';
import { BuiltReadingSchema, MadePartSchema, OpeningSchema } from '../survey/index.js';
import { HardwareSchema, SlideSchema, StockSchema } from '../stock/index.js';
import { ThingSchema } from '../things/index.js';

const closed = { additionalProperties: false } as const;

/** The format's name. */
export const FORMAT = 'ruvok-project';

function makeSchemas(piece: ReturnType<typeof pieceSchema>) {
  const kept = Type.Object({ piece, letters: LettersSchema }, closed);
  const file = Type.Object(
    {
      format: Type.Literal(FORMAT),
      version: Type.Literal(VERSION),
      project: ProjectSchema,
      openings: Type.Record(IdSchema, OpeningSchema, closed),
      things: Type.Record(IdSchema, ThingSchema, closed),
      stock: Type.Record(IdSchema, StockSchema, closed),
      /** Left out in files that were written before there were drawers. */
      slides: Type.Optional(Type.Record(IdSchema, SlideSchema, closed)),
      /** What is bought besides wood, as it is sold; left out where nothing was entered. */
      hardware: Type.Optional(Type.Record(IdSchema, HardwareSchema, closed)),
      people: Type.Record(IdSchema, PersonSchema, closed),
      pieces: Type.Record(IdSchema, kept, closed),
      /** What is cut together, and what was decided about it; left out where nothing was. */
      cuttings: Type.Optional(Type.Record(IdSchema, CuttingSchema, closed)),
      /** How pieces are built and how far that is, and the log of it; left out where there is nothing. */
      buildings: Type.Optional(Type.Record(IdSchema, BuildingSchema, closed)),
      log: Type.Optional(Type.Record(IdSchema, LogEntrySchema, closed)),
      /** What the tape found in pieces once they stood there, in the order it was read; left out where nothing was. */
      readings: Type.Optional(Type.Record(IdSchema, BuiltReadingSchema, closed)),
      /** What became of parts, in the order it was noted; left out where nothing was. */
      made: Type.Optional(Type.Record(IdSchema, MadePartSchema, closed)),
    },
    closed,
  );
  return { piece, kept, file };
}

let made = makeSchemas(pieceSchema());

function schemas() {
  const piece = pieceSchema();
  if (piece !== made.piece) made = makeSchemas(piece);
  return made;
}

/** The schema of a whole project in one file; records are kept under their ids. @example projectFileSchema() === projectFileSchema() // true */
export const projectFileSchema = () => schemas().file;

/** A piece as it is kept: what was intended, and the letters given to its parts. */
export type KeptPiece = Static<typeof made.kept>;
export type ProjectFile = Static<typeof made.file>;

/** A piece of a file by its id, and nothing that the file merely inherits. @example pieceIn(FILE, 'toString') // undefined */
export function pieceIn({ pieces }: Pick<ProjectFile, 'pieces'>, id: string): KeptPiece | undefined {
  return Object.hasOwn(pieces, id) ? pieces[id] : undefined;
}

/** The schema of a project file as it is published. @example Object.keys(publishedSchema())[0] // '$schema' */
export function publishedSchema(): object {
  return {
    $schema: 'http://json-schema.org/draft-07/schema#',
    title: `A Ruvok project, format version ${VERSION}`,
    ...(JSON.parse(JSON.stringify(projectFileSchema())) as object),
  };
}

/** What the pieces of a project file are solved with. @example workshopOf(FILE).things.get('tin').count // 100 */
export function workshopOf(file: Pick<ProjectFile, 'project' | 'openings' | 'things' | 'stock' | 'slides' | 'people'>): Workshop {
  return {
    settings: file.project.settings,
    openings: new Map(Object.entries(file.openings)),
    things: new Map(Object.entries(file.things)),
    stock: new Map(Object.entries(file.stock)),
    slides: new Map(Object.entries(file.slides ?? {})),
    people: new Map(Object.entries(file.people ?? {})),
  };
}

/** The text of a project file, ending with a line break. @example writeProjectFile(FILE).at(-1) // '\n' */
export function writeProjectFile(file: ProjectFile): string {
  return `${JSON.stringify(file, null, 2)}\n`;
}
