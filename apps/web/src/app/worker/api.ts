import type {
  Advice,
  AgreementPaper,
  Change,
  Cutting,
  FaceLight,
  Fault,
  FaultPicture,
  Hidden,
  Job,
  JobDays,
  JobFigures,
  Known,
  LayoutSummary,
  OnSite,
  OutlinesRead,
  Pixels,
  Plan,
  Read,
  Room,
  RoomPlan,
  RoomRows,
  RoomsRead,
  Run,
  Shortened,
  Taken,
  ToCut,
  ToHide,
  Tried,
  UnitSystem,
  WidthAdvice,
} from '@lisse/core';
import type { Sheet } from './sheet-pdf';
import type { BookSheet } from './workbook';
import type {
  Expected,
  ExpectRequest,
  Lit,
  LitRequest,
  StraightRequest,
  WallDrawn,
  WallRequest,
  WidthsRequest,
} from './wall-renderer';

/** A job with only the rooms that changed since it was last sent; the others are named by id. */
export type JobChange = Omit<Job, 'rooms'> & { rooms: (Room | string)[] };

/** What comes to the same as other parts of a plan, and does not travel beside them. */
type Repeated = 'runs' | 'cuts';

/** The parts of a plan that changed since it was told last; rooms that did not are named by their ids. */
export type PlanChange = Partial<Omit<Plan, 'rooms' | Repeated>> & { rooms: (RoomPlan | string)[] };

/** What the worker says while it works: the room it is at, rooms that are planned. */
export interface Underway {
  at?: string;
  rooms?: readonly RoomPlan[];
  /** A plan so far, and how manieth it was asked for. */
  near?: { nth: number; plan: PlanChange };
  /** How much of it is done, 0 to 1. */
  share?: number;
}

/** So many rooms of a plan travel at once: what is received is unpacked in one go, and the page stands still for it. */
export const ROOMS_AT_ONCE = 20;

/** What holding a stored job against the format came to; nothing of the job travels where nothing was changed. */
export type Checked = { ok: true; notes: []; job?: undefined } | ({ ok: true } & Taken) | Refused;
type Refused = Extract<Read, { ok: false }>;

/** What the worker answers that plans. */
export interface CoreApi {
  /**
   * Plans a job; what both sides already hold, of the job or of its plan, does not travel. What is nearest is said while
   * the rest is on its way; none comes where another plan was asked for meanwhile.
   * @param nth how manieth it is asked for
   */
  plan(job: JobChange, site: OnSite, days: Known | undefined, nth: number): Promise<PlanChange | undefined>;
  /** Holds a stored document against the format. */
  check(value: unknown): Checked;
  /** What a way of boarding comes to; what is held of the open job is not touched. */
  summary(job: Job): LayoutSummary;
  /** Keeps a better way to cut for the plans to come. */
  learnCut(toCut: ToCut, found: Cutting): void;
  /** What a job comes to, to hold one way or grade against another. */
  figures(job: Job): JobFigures;
  /** What a cure does to the job that was planned last; none where none was. */
  tryCure(advice: Advice, changes: readonly Change[]): Tried | undefined;
}

/** What a search of the days goes by. */
export interface ToSearch {
  job: JobDays & Pick<Job, 'shop'>;
  rooms: RoomRows[];
  site: OnSite;
  /** The run that people on site work by. */
  kept?: Run;
}

/** What the worker answers that searches for the best plan of the days. */
export interface DaysApi {
  search(what: ToSearch): Known;
}

/** What the worker answers that cuts sticks. */
export interface CutsApi {
  best(toCut: ToCut): Promise<Cutting | undefined>;
}

/** A job that was read, and the pictures that came with it. */
export type JobRead = Read & { photos?: ReadonlyMap<string, Uint8Array<ArrayBuffer>> };

/** What the worker answers that reads files. */
export interface FilesApi {
  /** Reads a job file, or an archive of a job and its pictures. */
  read(file: Blob): Promise<JobRead>;
  /** Makes such an archive. */
  pack(json: Uint8Array, photos: ReadonlyMap<string, Uint8Array>): Uint8Array<ArrayBuffer>;
  /** Reads rooms from a table, so many at most. */
  readRooms(file: Blob, units: UnitSystem, most: number): Promise<RoomsRead>;
  /** Reads outlines from a drawing, so many at most. */
  readOutlines(file: Blob, units: UnitSystem, most: number): Promise<OutlinesRead>;
}

/** What the worker answers that makes paper. */
/** Sizes of paper that is printed on. */
export const PAPERS = ['letter', 'a4'] as const;
export type PaperSize = (typeof PAPERS)[number];

export interface PaperApi {
  /** The agreement as a PDF. */
  pdf(paper: AgreementPaper, size: PaperSize): Promise<Blob>;
  /** A paper to carry, cut from or hand over, as a PDF. */
  sheet(sheet: Sheet, size: PaperSize): Promise<Blob>;
  /** Tables as a workbook of a spreadsheet. */
  workbook(sheets: readonly BookSheet[]): Promise<Blob>;
}

/** How large a picture may be on its longest side, and how well it is kept, 0 to 1. */
export interface SmallPicture {
  sidePx: number;
  quality: number;
}

/** What the worker answers that makes pictures small. */
export interface PicturesApi {
  /** A picture as a JPEG; a smaller one keeps its size. */
  small(file: Blob, how: SmallPicture): Promise<Uint8Array<ArrayBuffer>>;
}

/** One of the ways to be ready sooner; none where it is not. */
export interface ShortenedOne {
  way: Shortened | undefined;
  count: number;
}

/** What the worker answers that draws walls. */
export interface WallApi {
  /** Draws a wall and keeps it; none where the room has no such face. */
  draw(request: WallRequest): WallDrawn | undefined;
  /** Lights the wall drawn last; the pixels are handed over, not copied. */
  light(request: LitRequest): Lit | undefined;
  /** The lamp of some that shows most of a wall, and the wall in its light. */
  expect(request: ExpectRequest): Expected | undefined;
  /** A kind of finding as a lamp shows it. */
  fault(fault: Fault): FaultPicture;
  /** A photo of a wall seen straight on; none where its corners are no wall's. */
  straight(request: StraightRequest): Pixels | undefined;
  /** What would hide these joints in this light; under their own paint's limit where none is given. */
  hide(job: Job, light: FaceLight, shown: readonly ToHide[], limit?: number): Hidden[];
  /** How wide a joint must be finished to hide. */
  widths(request: WidthsRequest): WidthAdvice;
  /** What one of the ways to be ready sooner comes to, and how many there are. */
  shorten(job: Job, site: OnSite, n: number): ShortenedOne;
  /** What the cures of an advice do to the job, one after the other; none for one that is no press. */
  tryCures(job: Job, advice: Advice): (Tried | undefined)[];
}

/** Puts known things in the place of their ids; an id nobody knows is left out. */
export function withKnown<T extends { id: string }>(
  parts: readonly (T | string)[],
  known: ReadonlyMap<string, T>,
): T[] {
  return parts
    .map((part) => (typeof part === 'string' ? known.get(part) : part))
    .filter((part) => part !== undefined);
}

/** Ids in the place of the very things the other side holds. */
export function asChange<T extends { id: string }>(
  parts: readonly T[],
  held: ReadonlyMap<string, T>,
): (T | string)[] {
  return parts.map((part) => (held.get(part.id) === part ? part.id : part));
}

/** The parts of a plan that are not those the other side holds. */
export function planChange(made: Plan, held: Plan | undefined): PlanChange {
  const { runs: _, cuts: __, ...parts } = made;
  const changed = Object.entries(parts).filter(([key, part]) => held?.[key as keyof Plan] !== part);
  return { ...Object.fromEntries(changed), rooms: asChange(made.rooms, byId(held?.rooms ?? [])) };
}

/** A plan with the parts of it that changed; rooms that did not are those that are held. */
export function withChange(
  held: Plan | undefined,
  change: PlanChange,
  known: ReadonlyMap<string, RoomPlan>,
): Plan {
  const rooms = withKnown(change.rooms, known);
  const whole = { ...held, ...change, rooms } as Plan;
  return {
    ...whole,
    runs: rooms.flatMap((room) => room.runs),
    cuts: whole.order.beads.flatMap((line) => line.cuts),
  };
}

export const byId = <T extends { id: string }>(parts: readonly T[]): Map<string, T> =>
  new Map(parts.map((part) => [part.id, part]));
