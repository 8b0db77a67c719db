import type { components } from "./schema";

type Schemas = components["schemas"];

export type Session = Schemas["SessionView"];
export type Who = Schemas["Who"];
export type SchoolClass = Schemas["ClassView"];
export type ClassDoc = Schemas["ClassDoc"];
export type PupilDetails = Schemas["PupilDetails"];
export type Space = Schemas["SpaceView"];
export type SpaceDoc = Schemas["SpaceDoc"];
export type Ladder = Schemas["Ladder"];
export type Rung = Schemas["Rung"];
export type Family = Ladder["family"];
export type Lesson = Schemas["Lesson"];
export type Block = Schemas["Block"];
export type LessonDoc = Schemas["LessonDoc"];
export type LessonView = Schemas["LessonView"];
export type LessonLine = Schemas["LessonLine"];
export type LessonPlan = Schemas["LessonPlan"];
export type BlockPlan = Schemas["BlockPlan"];
export type Spots = Schemas["Spots"];
export type Run = Schemas["Run"];
export type RunLine = Schemas["RunLine"];
export type RunScript = Schemas["RunScript"];
export type RunEvent = Schemas["RunEvent"];
export type RoundResult = Schemas["RoundResult"];
export type Segment = Schemas["Segment"];
export type ScriptTurn = Schemas["ScriptTurn"];
export type Crew = Schemas["Crew"];
export type Side = RoundSide;
export type ClassRecord = Schemas["ClassRecord"];
export type PupilRecord = Schemas["PupilRecord"];
export type Challenge = Schemas["Challenge"];
export type Attempt = Schemas["Attempt"];

type RoundSide = Attempt["side"];
