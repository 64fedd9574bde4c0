/** The server's shapes by short names. All of them are generated (`npm run schema`); none is written here. */
import type { components } from './schema'

type Schemas = components['schemas']

export type Item = Schemas['PutItem']['item']
export type Kind = Item['kind']
export type ItemOf<K extends Kind> = Extract<Item, { kind?: K }>
export type PublicItem = Schemas['Shown']['item']
export type PublicItemOf<K extends Kind> = Extract<PublicItem, { kind?: K }>
export type StudentAnswer = Schemas['Answering']['answer']
export type StudentCommand = Schemas['StudentCommand']
/** The one that a led session knows. */
export type SentAnswer = StudentCommand & { command: Schemas['Answering'] }
export type TeacherCommand = Schemas['TeacherCommand']
export type Tally = NonNullable<Schemas['Shown']['tally']>
export type Key = NonNullable<Schemas['Shown']['key']>
export type StudentAnswerOf<K extends Kind> = Extract<StudentAnswer, { kind?: K }>
export type TallyOf<K extends Kind> = Extract<Tally, { kind?: K }>
export type KeyOf<K extends Kind> = Extract<Key, { kind?: K }>
export type Picture = Schemas['Picture']

/** What is said to people, so that it can be said in any language. */
export type Message = Schemas['Message']
export type ReadText = Schemas['ReadText']

export type SetRow = Schemas['SetRow']
export type SetDocument = Schemas['SetDocument']
export type ItemProblem = Schemas['ItemProblem']
export type Changes = Schemas['Changes']
export type Saved = Schemas['Saved']
export type Conflict = Schemas['Conflict']

/** A game with what was chosen for it. */
export type GameChosen = Required<NonNullable<Schemas['Settings']['game']>>
export type Settings = Required<Schemas['Settings']> & {
  game: GameChosen
  questions: Required<Schemas['Chosen']>
  time: Required<Schemas['Timing']>
  closing: Required<Schemas['ClosingWords']>
  wall: Required<Schemas['WallSettings']>
}
export type RunOffer = Schemas['RunOffer']
export type PresetInfo = Schemas['PresetInfo']
export type Planned = Schemas['Planned']
export type Glimpse = { screen: ScreenView; shown: Shown | null; mine: Mine }
export type GameName = GameChosen['game']
export type GameOf<N extends GameName> = Extract<GameChosen, { game: N }>
/** What the room sees of a game with a board, and what one player sees. */
export type Board = NonNullable<Schemas['ScreenView']['board']>
export type BoardOf<N extends GameName> = Extract<Board, { game?: N }>
export type OwnBoard = NonNullable<Schemas['Mine']['board']>
export type OwnBoardOf<N extends GameName> = Extract<OwnBoard, { game?: N }>
export type GameMove = Schemas['Moving']['move']
export type GameGuide = Schemas['GuideGame']['guide']
export type SessionInfo = Schemas['SessionInfo']
export type ResultForm = NonNullable<Schemas['Shown']['form']>
export type ShownWall = Schemas['ShownWall']
export type RemoteCommand = Schemas['RemoteOrder']['command']
export type RemoteMessage = Schemas['RemoteMessage']
export type RemoteView = RemoteMessage['view']
export type RemoteOffer = Schemas['RemoteOffer']
export type AskedNow = Schemas['AskedNow']
export type CodeInfo = Schemas['CodeInfo']
export type Joined = Schemas['Joined']
export type JoinForm = Schemas['JoinForm']
export type SpokenPart = Schemas['SpokenPart']
export type OwnLightInfo = Schemas['OwnLightInfo']
export type Remark = Schemas['Remark']
export type MadeName = Schemas['MadeName']
export type Phase = Schemas['Phase']
export type Shown = Schemas['Shown']
export type Mine = Schemas['Mine']
export type MyPaper = Schemas['MyPaper']
export type Work = Schemas['Work']
export type Told = Schemas['Told']
export type Reviewed = Schemas['Reviewed']
export type Progress = Schemas['Progress']
export type StudentView = Schemas['StudentView']
export type ScreenView = Schemas['ScreenView']
export type DeskView = Schemas['DeskView']
export type Person = Schemas['Person']
export type DeskCommand = Schemas['TeacherCommand']['command']
export type StudentMessage = Schemas['StudentMessage']
export type ScreenMessage = Schemas['ScreenMessage']
export type DeskMessage = Schemas['DeskMessage']

export type SessionRow = Schemas['SessionRow']
export type SessionReport = Schemas['SessionReport']
export type QuestionReport = Schemas['QuestionReport']
export type PersonReport = Schemas['PersonReport']
export type ClassResults = Schemas['ClassResults']
export type StudentResults = Schemas['StudentResults']
export type StudentOverTime = ClassResults['results']['students'][number]
export type MarkingSheet = Schemas['MarkingSheet']
export type ToMark = MarkingSheet['questions'][number]
export type AlikeAnswers = ToMark['groups'][number]
export type Preview = Schemas['Preview']
export type Correcting = Schemas['Proposed']['command']
export type JobRow = Schemas['JobRow']
export type Recipient = Schemas['Recipient']
export type Paper = NonNullable<Schemas['PagesForm']['paper']>
export type Way = NonNullable<Schemas['PagesForm']['to']>
export type TableFormat = NonNullable<Schemas['FilesForm']['format']>
export type BookDetail = Omit<Schemas['BookDetail'], 'scheme'> & { scheme: GradeScheme }
export type GradeScheme = Required<Schemas['Scheme']> & {
  columns: Required<Schemas['GradeColumn']>[]
}
export type SharedReport = Schemas['SharedReport']
export type SessionChanges = Schemas['SessionChanges']
export type SessionChoices = Schemas['SessionChoices']
export type QuestionResult = Schemas['QuestionResult']
export type StudentReport = Schemas['StudentReport']
export type Reliability = Schemas['Reliability']
export type ClassRow = Required<Schemas['ClassRow']>
export type ClassDetail = Omit<Required<Schemas['ClassDetail']>, 'members_list'> & { members_list: Member[] }
export type Member = Required<Schemas['MemberRow']> & { needs: Needs }
export type Needs = Required<Schemas['Needs']>
export type MemberForm = Required<Schemas['MemberForm']> & { needs: Needs }
export type ClassForm = Required<Schemas['ClassForm']>
export type FoundList = Omit<Required<Schemas['FoundList']>, 'members'> & { members: Member[] }
export type FoundClass = Omit<Required<Schemas['FoundClass']>, 'rows'> & { rows: ComparedRow[] }
export type ComparedRow = Required<Schemas['Compared']>
export type KeptClass = Schemas['KeptClass']
export type StudentHistory = Schemas['StudentHistory']
export type TookPart = Schemas['TookPart']
export type SchoolDetail = Required<Schemas['SchoolDetail']> & {
  settings: Required<Schemas['SchoolSettings']>
}
export type SchoolSettings = Required<Schemas['SchoolSettings']>
export type ColleagueRow = Schemas['ColleagueRow']
export type WouldGo = Schemas['WouldGo']
export type MailRow = Schemas['MailRow']
export type ToJoin = Required<Schemas['ToJoin']>
export type Verdict = Schemas['Verdict']
export type Me = Schemas['Me']
export type SignUpRule = Schemas['SignUpRule']
export type ErrorReply = Schemas['ErrorReply']

export type Media = Picture | Schemas['Recording'] | Schemas['Film']
export type Recording = Schemas['Recording']
export type Film = Schemas['Film']
export type PublicLine = Schemas['PublicLine']
export type Line = Schemas['Line']
export type Strictness = Schemas['Strictness']
export type Spot = Schemas['Spot']
export type Area = Schemas['Area']
export type ShelfRow = Schemas['ShelfRow']
export type About = Schemas['About']
export type FolderRow = Schemas['FolderRow']
export type FoundQuestion = Schemas['FoundQuestion']
export type RevisionRow = Schemas['RevisionRow']
export type VersionedItem = Schemas['VersionedItem']
export type FoundInFile = Required<Schemas['FoundInFile']>
export type FoundOrAside = Schemas['FoundOrAside']
export type AddedOrAside = Schemas['AddedOrAside']
export type FoundEntry = FoundInFile['entries'][number]
export type Recasted = Schemas['Recasted']

/** Set work. */
export type WorkOffer = Schemas['WorkOffer']
export type Terms = Required<Schemas['Terms']> & { target: Required<NonNullable<Schemas['Terms']['target']>> }
export type Purpose = NonNullable<Schemas['Terms']['purpose']>
export type WorkRow = Schemas['WorkRow']
export type WorkDetail = Schemas['WorkDetail']
export type WorkLine = Schemas['WorkLine']
export type AttemptLine = Schemas['AttemptLine']
export type GivenTo = Schemas['GivenTo']
export type WorkChange = Schemas['ChangeForm']['change']
export type WorkDoor = Schemas['WorkDoor']
export type Entered = Schemas['Entered']
export type MyWork = Schemas['MyWork']
export type PracticeOffer = Schemas['PracticeOffer']
export type PracticeStarted = Schemas['PracticeStarted']
export type ClassPractised = Schemas['ClassPractised']
export type MyAttempt = Schemas['MyAttempt']
export type OtherWork = Schemas['OtherWork']
export type OnPaper = Schemas['OnPaper']
export type AttemptMessage = Schemas['AttemptMessage']
export type AttemptReply = Schemas['AttemptReply']
