import { type ComponentType, lazy, type ReactNode } from 'react';
import { Navigate, Route, Routes } from 'react-router';
import type { Marker } from '../session/marker';
import type { Notice } from '../session/notices';
import { NotHere } from './NotHere';
import { Shell } from './Shell';
import { ViewGuard } from './ViewGuard';

/** A view of its own address, fetched when it is first asked for. */
const view = (load: () => Promise<ComponentType>) => lazy(async () => ({ default: await load() }));

const WorkshopView = view(async () => (await import('../features/workshop/WorkshopView')).WorkshopView);
const NewPieceView = view(async () => (await import('../features/newPiece/NewPieceView')).NewPieceView);
const RackView = view(async () => (await import('../features/rack/RackView')).RackView);
const ScheduleView = view(async () => (await import('../features/schedule/ScheduleView')).ScheduleView);
const TradeFrame = view(async () => (await import('./TradeFrame')).TradeFrame);
const OrdersView = view(async () => (await import('../features/orders/OrdersView')).OrdersView);
const OrderView = view(async () => (await import('../features/orders/OrderView')).OrderView);
const StockView = view(async () => (await import('../features/stock/StockView')).StockView);
const ClassesView = view(async () => (await import('../features/classes/ClassesView')).ClassesView);
const ClassView = view(async () => (await import('../features/classes/ClassView')).ClassView);
const HoursView = view(async () => (await import('../features/hours/HoursView')).HoursView);
const RecordView = view(async () => (await import('../features/record/RecordView')).RecordView);
const AccuracyView = view(async () => (await import('../features/record/AccuracyView')).AccuracyView);
const RecipeInView = view(async () => (await import('../features/again/RecipeInView')).RecipeInView);
const ProjectsView = view(async () => (await import('../features/project/ProjectsView')).ProjectsView);
const ProjectView = view(async () => (await import('../features/project/ProjectView')).ProjectView);
const PartsView = view(async () => (await import('../features/parts/PartsView')).PartsView);
const ShelfView = view(async () => (await import('../features/shelf/ShelfView')).ShelfView);
const BlendView = view(async () => (await import('../features/blend/BlendView')).BlendView);
const ExchangeView = view(async () => (await import('../features/exchange/ExchangeView')).ExchangeView);
const PieceFrame = view(async () => (await import('./PieceFrame')).PieceFrame);
const PlanView = view(async () => (await import('../features/plan/PlanView')).PlanView);
const WoolView = view(async () => (await import('../features/wool/WoolView')).WoolView);
const TemplateView = view(async () => (await import('../features/template/TemplateView')).TemplateView);
const BenchView = view(async () => (await import('../features/bench/BenchView')).BenchView);
const FinishView = view(async () => (await import('../features/finish/FinishView')).FinishView);
const DiaryView = view(async () => (await import('../features/diary/DiaryView')).DiaryView);
const CostView = view(async () => (await import('../features/cost/CostView')).CostView);

/** What has to be said for the whole stay. */
interface First {
  readonly notice: Notice | null;
  readonly lost: Marker | null;
}

/** A view that fails is told in its own place: what stands round it stays, with undo, saving and deleting. */
const guarded = (element: ReactNode): ReactNode => <ViewGuard>{element}</ViewGuard>;

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
        <Route path="*" element={<NotHere error={null} />} />
      </Route>
    </Routes>
  </ViewGuard>
);
