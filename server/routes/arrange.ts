import { Router, type Request, type Response } from 'express';
import { jobOf } from '#core/jobs';
import { usualFitOptions, fitInWords } from '#core/fit';
import { proofInWords } from '#core/order';
import type { Library } from '#core/catalogue';
import { editedPlan, takeFit, type Plan, takeOrder } from '#core/plan';
import { forecastInWords } from '#core/review';
import { DEFAULT_RULES } from '#core/timeline';
import {
  FitRequest,
  FitResponse,
  ForecastRequest,
  ForecastResponse,
  OrderRequest,
  OrderResponse,
  PaceResponse,
  TimelineRequest,
} from '#api';
import { answer } from '../http/answer';
import { accept, unprocessable } from '../http/problems';
import type { Solver, Waiting } from '../solving/solver';
import { libraryFor } from '../store/custom-entries';
import { latestPaces } from './paces';
import type { Store } from '../store/store';
import { settingsOf } from './settings';
import { acceptPlanFile } from './plans';

/** Who waits for an answer, and until when: a connection that is closed waits for nothing. */
function waiting(request: Request, response: Response): Waiting {
  const gone = new AbortController();
  response.once('close', () => gone.abort());
  return { signal: gone.signal, client: request.socket.remoteAddress ?? '' };
}

/**
 * The timeline of a plan that is sent, and fitting, ordering and forecasting it, for scripts; and what forecasts learn
 * from. Nothing is stored.
 */
export function arrangeRoutes(store: Store, solver: Solver): Router {
  const routes = Router();

  async function planned(document: unknown): Promise<{ plan: Plan; library: Library }> {
    const { plan, entries } = acceptPlanFile(document);
    return { plan, library: await libraryFor(store, plan, entries) };
  }

  routes.post('/timeline', async (request, response) => {
    const { document, rules } = accept(TimelineRequest, request.body);
    const { plan, library } = await planned(document);
    const job = jobOf('timeline', plan, library, { rules: rules ?? DEFAULT_RULES });
    response.type('json').send(await solver.solve(job, waiting(request, response)));
  });

  routes.post('/fit', async (request, response) => {
    const { document, options } = accept(FitRequest, request.body);
    const { plan, library } = await planned(document);
    const fit = await solver.solve(
      jobOf('fit', plan, library, { options: options ?? usualFitOptions(plan, library) }),
      waiting(request, response),
    );
    if (fit.kind === 'refused') throw unprocessable([...fit.issues]);
    const fitted = fit.kind === 'fits' ? editedPlan(plan, takeFit(fit.lengths)) : plan;
    answer(response, FitResponse, { fit, says: fitInWords(fit), document: fitted });
  });

  routes.post('/order', async (request, response) => {
    const { document, rules } = accept(OrderRequest, request.body);
    const { plan, library } = await planned(document);
    const order = await solver.solve(
      jobOf('order', plan, library, { rules: rules ?? (await settingsOf(store)).order }),
      waiting(request, response),
    );
    if (order.kind === 'refused') throw unprocessable([...order.issues]);
    const ordered = editedPlan(plan, takeOrder(order.after.stepIds));
    answer(response, OrderResponse, { order, says: proofInWords(order), document: ordered });
  });

  routes.post('/forecast', async (request, response) => {
    const { document, seed, evenings } = accept(ForecastRequest, request.body);
    const { plan, library } = await planned(document);
    const { runs } = await latestPaces(store);
    const { forecast } = await solver.solve(
      jobOf('forecast', plan, library, { runs, seed, evenings }),
      waiting(request, response),
    );
    const says = forecastInWords(forecast);
    answer(response, ForecastResponse, { forecast, says });
  });

  routes.get('/pace', async (_request, response) => {
    answer(response, PaceResponse, await latestPaces(store));
  });

  return routes;
}
