import { checkLogin, checkPassword, mayCall, ROLES, routeOf, ROUTES, type RouteAccess } from './index.ts';

const name = (route: RouteAccess) => `${route.method} ${route.path}`;
const routesOf = (role: (typeof ROLES)[number]) =>
  ROUTES.filter((route) => route.roles !== 'anybody' && route.roles.includes(role)).map(name);

test('each row stands once, and an owner may do whatever anybody may', () => {
  expect(new Set(ROUTES.map(name)).size).toBe(ROUTES.length);
  const owners = routesOf('owner');
  for (const role of ROLES) expect(routesOf(role).filter((route) => !owners.includes(route))).toEqual([]);
});

test('an assistant may do nothing a therapist may not, and neither notes nor conditions nor accounts', () => {
  const therapists = routesOf('therapist');
  expect(routesOf('assistant').filter((route) => !therapists.includes(route))).toEqual([]);
  expect(routesOf('assistant').filter((route) => /note|conditions|overrides|record|import|export|accounts|audit/.test(route))).toEqual([]);
});

test('a coach may reach nothing but their squads, the practice and their own account', () => {
  expect(routesOf('coach').sort()).toEqual([
    'GET /coach',
    'GET /practice',
    'POST /me/password',
    'POST /sign-out',
    'POST /sign-out-everywhere',
  ]);
});

test('only the door is open to everybody, and what a token lets in: the page that sends check-ins, a calendar', () => {
  expect(ROUTES.filter((route) => route.roles === 'anybody').map(name)).toEqual([
    'GET /health',
    'GET /welcome',
    'POST /sign-in',
    'POST /first-owner',
    'GET /check-in',
    'PUT /check-in/answers/:checkInId',
    'PUT /check-in/loads/:loadId',
    'GET /calendars/:token',
    'GET /me',
  ]);
});

test('whatever names somebody’s file is looked up and noted; nothing that changes a file is left out of the audit', () => {
  for (const route of ROUTES) {
    if (/^\/(athletes|visits|runs)\/:id/.test(route.path) && !(route.method === 'PUT' && route.path.endsWith('/:id')))
      expect([name(route), route.about]).toEqual([name(route), route.path.split('/')[1]!.replace(/s$/, '')]);
    if (/^\/(athletes|visits|runs|import|export)/.test(route.path))
      expect([name(route), Boolean(route.audit)]).toEqual([name(route), true]);
  }
  // What takes data away or out for good is never folded into an earlier line.
  for (const route of ROUTES.filter(
    (each) => each.method === 'DELETE' || /record|import|export|cancel|overrides|answers|referral/.test(each.path),
  ))
    expect([name(route), route.often]).toEqual([name(route), undefined]);
});

test('a path fits its row by its parts: as many as there are, ids not empty, nothing by half', () => {
  expect(routeOf('GET', '/visits/abc')?.path).toBe('/visits/:id');
  expect(routeOf('GET', '/visits/')).toBeNull();
  expect(routeOf('GET', '/visits/abc/')).toBeNull();
  expect(routeOf('GET', '/visits/abc/plan')).toBeNull();
  expect(routeOf('PUT', '/visits/abc/plan')?.audit).toBe('plan written');
  expect(routeOf('GET', '/Athletes')).toBeNull();
  expect(routeOf('HEAD', '/health')).toBeNull();
  expect(() => mayCall('owner', 'GET', '/nowhere')).toThrow(RangeError);
});

test('passwords: long, not one letter again and again, not with the name in it', () => {
  expect(checkPassword('a river in the rain', 'ann')).toBeNull();
  expect(checkPassword('elevenchars', 'ann')).toContain('12 letters');
  expect(checkPassword('abababababababab', 'ann')).toContain('so few different');
  expect(checkPassword('My name is ANNIE', 'annie')).toContain('does not hold the name');
  expect(checkPassword('x'.repeat(100) + 'abcdef'.repeat(20), 'ann')).toContain('200 letters');
  // No rule about capitals, digits or signs; spaces and any script are fine.
  expect(checkPassword('река под дождём ночью', 'ann')).toBeNull();
});

test('sign-in names are small and plain', () => {
  for (const good of ['ann', 'a.b-c', '2nd']) expect(checkLogin(good)).toBeNull();
  for (const bad of ['', 'a', 'Ann', '.ann', 'ann b', 'x'.repeat(41), 'ann@club']) expect(checkLogin(bad)).not.toBeNull();
});
