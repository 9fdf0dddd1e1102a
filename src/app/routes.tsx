import type { ComponentType, ReactNode } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import type { Marker } from '../session/marker';
import type { Notice } from '../session/notices';
import { later } from '../ui/later';
import { NotHere } from './NotHere';
import { Shell } from './Shell';
import { ViewGuard } from './ViewGuard';

/** What is fetched for which addresses. */
const FETCHED: Array<{ readonly at: RegExp; readonly fetch: () => Promise<unknown> }> = [];

/** A view of its own address, fetched when it is first asked for. One that is there already is shown at once. */
const view = (at: RegExp, load: () => Promise<ComponentType>): ComponentType => {
  const View = later(load, <p className="p-4">Opening …</p>);
  FETCHED.push({ at, fetch: View.fetch });
  return View;
};

/** Fetches the view of an address, while the workshop is being opened. One that does not come is told where it is shown. */
export const fetchAhead = async (path: string): Promise<void> => {
  await Promise.allSettled(FETCHED.filter(f => f.at.test(path)).map(f => f.fetch()));
};

const WorkshopView = view(
  /^\/$/,
  async () => (await import('../features/workshop/WorkshopView')).WorkshopView,
);
const NewPieceView = view(
  /^\/new/,
  async () => (await import('../features/newPiece/NewPieceView')).NewPieceView,
);
const RackView = view(/^\/rack/, async () => (await import('../features/rack/RackView')).RackView);
const ScheduleView = view(
  /^\/schedule/,
  async () => (await import('../features/schedule/ScheduleView')).ScheduleView,
);
const TradeFrame = view(
  /^\/(orders|stock|classes|hours)/,
  async () => (await import('./TradeFrame')).TradeFrame,
);
const OrdersView = view(/^\/orders$/, async () => (await import('../features/orders/OrdersView')).OrdersView);
const OrderView = view(/^\/orders\/./, async () => (await import('../features/orders/OrderView')).OrderView);
const StockView = view(/^\/stock/, async () => (await import('../features/stock/StockView')).StockView);
const ClassesView = view(
  /^\/classes$/,
  async () => (await import('../features/classes/ClassesView')).ClassesView,
);
const ClassView = view(
  /^\/classes\/./,
  async () => (await import('../features/classes/ClassView')).ClassView,
);
const HoursView = view(/^\/hours/, async () => (await import('../features/hours/HoursView')).HoursView);
const RecordView = view(/^\/record$/, async () => (await import('../features/record/RecordView')).RecordView);
const AccuracyView = view(
  /^\/record\/accuracy/,
  async () => (await import('../features/record/AccuracyView')).AccuracyView,
);
const RecipeInView = view(
  /^\/recipe/,
  async () => (await import('../features/again/RecipeInView')).RecipeInView,
);
const ProjectsView = view(
  /^\/projects$/,
  async () => (await import('../features/project/ProjectsView')).ProjectsView,
);
const ProjectView = view(
  /^\/projects\/./,
  async () => (await import('../features/project/ProjectView')).ProjectView,
);
const PartsView = view(/^\/parts/, async () => (await import('../features/parts/PartsView')).PartsView);
const ShelfView = view(/^\/shelf/, async () => (await import('../features/shelf/ShelfView')).ShelfView);
const BlendView = view(/^\/blend/, async () => (await import('../features/blend/BlendView')).BlendView);
const ExchangeView = view(
  /^\/file/,
  async () => (await import('../features/exchange/ExchangeView')).ExchangeView,
);
const PieceFrame = view(/^\/pieces\//, async () => (await import('./PieceFrame')).PieceFrame);
const PlanView = view(/\/plan$/, async () => (await import('../features/plan/PlanView')).PlanView);
const WoolView = view(/\/wool$/, async () => (await import('../features/wool/WoolView')).WoolView);
const TemplateView = view(
  /\/template$/,
  async () => (await import('../features/template/TemplateView')).TemplateView,
);
const BenchView = view(/\/bench$/, async () => (await import('../features/bench/BenchView')).BenchView);
const FinishView = view(/\/finish$/, async () => (await import('../features/finish/FinishView')).FinishView);
const DiaryView = view(/\/diary$/, async () => (await import('../features/diary/DiaryView')).DiaryView);
const CostView = view(/\/cost$/, async () => (await import('../features/cost/CostView')).CostView);

const RehearsalFrame = view(/^\/rehearse\//, async () => (await import('./RehearsalFrame')).RehearsalFrame);
const LessonFrame = view(/^\/lessons\/./, async () => (await import('./RehearsalFrame')).LessonFrame);
const LessonsView = view(
  /^\/lessons$/,
  async () => (await import('../features/rehearsal/LessonsView')).LessonsView,
);
const LessonEditor = view(
  /^\/lessons\/[^/]+\/change$/,
  async () => (await import('../features/rehearsal/LessonEditor')).LessonEditor,
);
const RehearsalStage = view(
  /^\/(rehearse|lessons)\/./,
  async () => (await import('./RehearsalStage')).RehearsalStage,
);

/** What has to be said for the whole stay. */
interface First {
  readonly notice: Notice | null;
  readonly lost: Marker | null;
}

/** A view that fails is told in its own place: what stands round it stays, with undo, saving and deleting. */
const guarded = (element: ReactNode): ReactNode => <ViewGuard>{element}</ViewGuard>;

/** Tries of a rehearsal, and of a lesson: each with the bench as it always is. */
const TRIES = (
  <>
    <Route path=":pieceId" element={guarded(<RehearsalStage />)}>
      <Route path="bench" element={guarded(<BenchView />)} />
      <Route path="finish" element={guarded(<FinishView />)} />
      <Route path="truth" element={null} />
    </Route>
    <Route path="*" element={null} />
  </>
);

/** Each view has its own address. */
export const Views = (first: First) => (
  <ViewGuard>
    <Routes>
      <Route path="/" element={<Shell {...first} />}>
        <Route index element={guarded(<WorkshopView />)} />
        <Route path="new" element={guarded(<NewPieceView />)} />
        <Route path="rack" element={guarded(<RackView />)} />
        <Route path="schedule" element={guarded(<ScheduleView />)} />
        <Route element={guarded(<TradeFrame />)}>
          <Route path="orders" element={guarded(<OrdersView />)} />
          <Route path="orders/:orderId" element={guarded(<OrderView />)} />
          <Route path="stock/:productId?" element={guarded(<StockView />)} />
          <Route path="classes" element={guarded(<ClassesView />)} />
          <Route path="classes/:classId" element={guarded(<ClassView />)} />
          <Route path="hours" element={guarded(<HoursView />)} />
        </Route>
        <Route path="record" element={guarded(<RecordView />)} />
        <Route path="record/accuracy" element={guarded(<AccuracyView />)} />
        <Route path="recipe" element={guarded(<RecipeInView />)} />
        <Route path="projects" element={guarded(<ProjectsView />)} />
        <Route path="projects/:projectId" element={guarded(<ProjectView />)} />
        <Route path="parts" element={guarded(<PartsView />)} />
        <Route path="shelf/:woolId?" element={guarded(<ShelfView />)} />
        <Route path="blend" element={guarded(<BlendView />)} />
        <Route path="file" element={guarded(<ExchangeView />)} />
        <Route path="pieces/:pieceId" element={guarded(<PieceFrame />)}>
          <Route index element={<Navigate to="plan" replace />} />
          <Route path="plan" element={guarded(<PlanView />)} />
          <Route path="wool" element={guarded(<WoolView />)} />
          <Route path="template" element={guarded(<TemplateView />)} />
          <Route path="bench" element={guarded(<BenchView />)} />
          <Route path="finish" element={guarded(<FinishView />)} />
          <Route path="diary" element={guarded(<DiaryView />)} />
          <Route path="cost" element={guarded(<CostView />)} />
        </Route>
        <Route path="rehearse/:ofId" element={guarded(<RehearsalFrame />)}>
          {TRIES}
        </Route>
        <Route path="lessons" element={guarded(<LessonsView />)} />
        <Route path="lessons/:lessonId/change" element={guarded(<LessonEditor />)} />
        <Route path="lessons/:lessonId" element={guarded(<LessonFrame />)}>
          {TRIES}
        </Route>
        <Route path="*" element={<NotHere error={null} />} />
      </Route>
    </Routes>
  </ViewGuard>
);
