export { mayRead, PARTS, type Part } from './parts.ts';
export { ROLES, ROUTES, mayCall, routeOf, whoMay, type HttpMethod, type Role, type RouteAccess } from './routes.ts';
export {
  checkLogin,
  checkPassword,
  SIGNED_IN_HOURS,
  type Account,
  type AccountFields,
  type AuditLine,
  type Me,
  type Welcome,
  type WhoIsIn,
} from './account.ts';
export { problemReference, problemType, PROBLEMS, type ProblemFacts, type ProblemMeans, type ProblemType } from './problems.ts';
