export {
  PLAN_GOALS,
  PLAN_LACKS,
  BIND_KINDS,
  type BindKind,
  type Binding,
  type Plan,
  type PlanAsk,
  type PlanAsks,
  type PlanGoal,
  type PlanLack,
  type PlanPin,
  type PlanProblem,
} from './problem.ts';
export { plainAsk } from './ask.ts';
export { planProblem } from './build.ts';
export { dragLimit, type DragLimit } from './drag.ts';
export { askWith, HELP_HEAT_C, HELPS, type Help } from './helps.ts';
export { rotaOf, type Rota } from './rota.ts';
export { LEANS } from './leans.ts';
export { holdsOf, replayOnce, type Holds, type Replay } from './replay.ts';
export { makePlans, plannedBefore, repaired, type MadePlan } from './make.ts';
export { BREACHES, type BreachCode } from './check.ts';
export { COST_KINDS, type CostKind, type PlanCost } from './cost.ts';
export { sessionCard, type SessionCard, type SessionEntry } from './card.ts';
export { reasonChain } from './reasons.ts';
export {
  planView,
  sincePlanned,
  type PlanBlock,
  type PlanLane,
  type PlanMachineView,
  type PlanRunView,
  type PlanView,
} from './view.ts';
export { flashMs, nextPass, passOrder, type PassPart, type PlannedPass } from './passes.ts';
export { orderOf, tryPin, type PinAnswer } from './pin.ts';
export { agendaOf, nextPlanned, type NextPlanned, type AgendaLine, type AgendaSession } from './agenda.ts';
export { ownAgenda, type OwnSession } from './own.ts';
export { buyListNow, type NamedBuyLine } from './buy.ts';
export { nightsOf, type Night } from './nights.ts';
export { personLanes, placeLanes, type LaneBlock, type OtherLane } from './lanesBy.ts';
