import { createBrowserRouter, Navigate, type RouteObject } from 'react-router';
import type { Marker } from '../session/marker';
import type { Notice } from '../session/notices';
import { NotHere } from './NotHere';
import { Shell } from './Shell';

/** What has to be said for the whole stay. */
interface First {
  readonly notice: Notice | null;
  readonly lost: Marker | null;
}

/** A view that fails is told in its own place: what stands round it stays, with undo, saving and deleting. */
const guarded = (views: readonly RouteObject[]): RouteObject[] =>
  views.map(view => ({ ...view, errorElement: <NotHere /> }));

/** Each view has its own address and is loaded when it is first asked for. */
const routes = (first: First): RouteObject[] => [
  {
    path: '/',
    element: <Shell {...first} />,
    errorElement: <NotHere />,
    hydrateFallbackElement: <p className="p-4">Opening …</p>,
    children: guarded([
      {
        index: true,
        lazy: async () => ({ Component: (await import('../features/workshop/WorkshopView')).WorkshopView }),
      },
      {
        path: 'new',
        lazy: async () => ({ Component: (await import('../features/newPiece/NewPieceView')).NewPieceView }),
      },
      {
        path: 'rack',
        lazy: async () => ({ Component: (await import('../features/rack/RackView')).RackView }),
      },
      {
        path: 'schedule',
        lazy: async () => ({ Component: (await import('../features/schedule/ScheduleView')).ScheduleView }),
      },
      {
        lazy: async () => ({ Component: (await import('./TradeFrame')).TradeFrame }),
        children: guarded([
          {
            path: 'orders',
            lazy: async () => ({ Component: (await import('../features/orders/OrdersView')).OrdersView }),
          },
          {
            path: 'orders/:orderId',
            lazy: async () => ({ Component: (await import('../features/orders/OrderView')).OrderView }),
          },
          {
            path: 'stock/:productId?',
            lazy: async () => ({ Component: (await import('../features/stock/StockView')).StockView }),
          },
          {
            path: 'classes',
            lazy: async () => ({ Component: (await import('../features/classes/ClassesView')).ClassesView }),
          },
          {
            path: 'classes/:classId',
            lazy: async () => ({ Component: (await import('../features/classes/ClassView')).ClassView }),
          },
          {
            path: 'hours',
            lazy: async () => ({ Component: (await import('../features/hours/HoursView')).HoursView }),
          },
        ]),
      },
      {
        path: 'record',
        lazy: async () => ({ Component: (await import('../features/record/RecordView')).RecordView }),
      },
      {
        path: 'record/accuracy',
        lazy: async () => ({ Component: (await import('../features/record/AccuracyView')).AccuracyView }),
      },
      {
        path: 'recipe',
        lazy: async () => ({ Component: (await import('../features/again/RecipeInView')).RecipeInView }),
      },
      {
        path: 'projects',
        lazy: async () => ({ Component: (await import('../features/project/ProjectsView')).ProjectsView }),
      },
      {
        path: 'projects/:projectId',
        lazy: async () => ({ Component: (await import('../features/project/ProjectView')).ProjectView }),
      },
      {
        path: 'parts',
        lazy: async () => ({ Component: (await import('../features/parts/PartsView')).PartsView }),
      },
      {
        path: 'shelf/:woolId?',
        lazy: async () => ({ Component: (await import('../features/shelf/ShelfView')).ShelfView }),
      },
      {
        path: 'blend',
        lazy: async () => ({ Component: (await import('../features/blend/BlendView')).BlendView }),
      },
      {
        path: 'file',
        lazy: async () => ({ Component: (await import('../features/exchange/ExchangeView')).ExchangeView }),
      },
      {
        path: 'pieces/:pieceId',
        lazy: async () => ({ Component: (await import('./PieceFrame')).PieceFrame }),
        children: guarded([
          { index: true, element: <Navigate to="plan" replace /> },
          {
            path: 'plan',
            lazy: async () => ({ Component: (await import('../features/plan/PlanView')).PlanView }),
          },
          {
            path: 'wool',
            lazy: async () => ({ Component: (await import('../features/wool/WoolView')).WoolView }),
          },
          {
            path: 'template',
            lazy: async () => ({
              Component: (await import('../features/template/TemplateView')).TemplateView,
            }),
          },
          {
            path: 'bench',
            lazy: async () => ({ Component: (await import('../features/bench/BenchView')).BenchView }),
          },
          {
            path: 'finish',
            lazy: async () => ({ Component: (await import('../features/finish/FinishView')).FinishView }),
          },
          {
            path: 'diary',
            lazy: async () => ({ Component: (await import('../features/diary/DiaryView')).DiaryView }),
          },
          {
            path: 'cost',
            lazy: async () => ({ Component: (await import('../features/cost/CostView')).CostView }),
          },
        ]),
      },
      { path: '*', element: <NotHere /> },
    ]),
  },
];

export const makeRouter = (first: First) => createBrowserRouter(routes(first));
