import { profileSchema } from '../model/profile.ts';

/** Eleven rules of every kind of condition. */
export const profile = profileSchema.parse({
  monitors: [
    { id: 'wide', width: 3440, height: 1440 },
    { id: 'lap', width: 2880, height: 1800, scale: 2 },
    { id: 'wall', width: 1920, height: 1080 },
  ],
  desks: [
    {
      id: 'office',
      name: 'Office',
      monitors: [
        { monitor: 'wide', x: 0, y: 0 },
        { monitor: 'lap', x: 280, y: 1440 },
      ],
    },
    { id: 'hut', name: 'Hut', monitors: [{ monitor: 'lap', x: 0, y: 0 }] },
    {
      id: 'briefing',
      name: 'Briefing',
      monitors: [
        { monitor: 'lap', x: 0, y: 0 },
        { monitor: 'wall', x: 0, y: -1080 },
      ],
    },
  ],
  workspaces: [
    { id: 'B', name: 'Bulletin', monitor: 'wide' },
    { id: 'M', name: 'Maps', monitor: 'wide' },
    { id: 'R', name: 'Radio', monitor: 'lap' },
  ],
  rules: [
    {
      id: '1',
      when: { all: [{ of: 'kind', is: 'dialog' }] },
      then: { held: 'floating', corner: 'over-parent' },
    },
    {
      id: '2',
      when: { all: [{ of: 'kind', is: 'utility' }], none: [{ of: 'app', is: 'picker' }] },
      then: { held: 'floating', stayAbove: true, focus: false },
    },
    {
      id: '3',
      when: {
        all: [
          { of: 'resizable', is: false },
          { of: 'width', from: 1024 },
          { of: 'height', from: 720, to: 2000 },
        ],
      },
      then: { held: 'left-alone' },
    },
    {
      id: '4',
      when: {
        all: [
          { of: 'app', is: 'areamap' },
          { of: 'title', has: 'ZONES' },
        ],
      },
      then: { workspace: 'M', zone: 'Middle' },
    },
    {
      id: '5',
      when: {
        any: [
          { of: 'app', is: 'shell' },
          { of: 'app', is: 'notes' },
        ],
      },
      then: { workspace: 'R', join: 'after-focused' },
    },
    {
      id: '6',
      when: {
        all: [{ of: 'title', matches: '^Profile \\d+' }],
        any: [
          { of: 'desk', is: 'Office' },
          { of: 'desk', is: 'hut' },
        ],
      },
      then: { join: 'lead', focus: true },
    },
    {
      id: '7',
      when: {
        all: [
          { of: 'desk', fits: 'brief*' },
          { of: 'monitor', is: 'primary' },
        ],
      },
      then: { monitor: 'wall' },
    },
    {
      id: '8',
      when: { all: [{ of: 'app', fits: '*log' }], none: [{ of: 'title', has: 'archived' }] },
      then: { held: 'floating', size: { width: 600, height: 400 } },
    },
    {
      id: '9',
      when: { all: [{ of: 'parent', is: 'bulletin' }] },
      then: { workspace: 'B', everywhere: true },
    },
    {
      id: '10',
      when: {
        none: [
          { of: 'kind', is: 'normal' },
          { of: 'workspace', is: 'Maps' },
        ],
      },
      then: { held: 'floating', focus: false },
    },
    {
      id: '11',
      when: { all: [{ of: 'mode', is: 'mirror' }] },
      then: { remember: false },
    },
  ],
});

/**
 * A window in each line: app, title, kind, parent, size (f: fixed), desk (with its mode where it is not
 * extend), monitor, workspace. Then a letter for each of the eleven rules: + it matches; else what of the window is the first to keep it from matching: kind, app, title,
 * resizable, width, height, desk, mode (e),
 * monitor, parent, an excluded condition (x), or that none of several holds (o).
 */
export const TABLE = `
pitreader | Profile 07 | normal | - | 1300×700 | office | wide | B | kkrao+dapxe
pitreader | Profile 07 | normal | - | - | office | wide | B | kkrao+dapxe
pitreader | profile 07 | normal | - | - | office | wide | B | kkraotdapxe
pitreader | Profile x | normal | - | - | office | wide | B | kkraotdapxe
pitreader | Profile 7 | normal | - | - | hut | lap | B | kkrao+dapxe
pitreader | Profile 7 | normal | - | - | briefing | lap | B | kkraoo+apxe
pitreader | Profile 7 | normal | - | - | briefing | wall | M | kkraoomapxe
pitreader | My Profile 7 | normal | - | - | hut | lap | R | kkraotdapxe
bulletin | Morning bulletin | normal | - | 720×500 | office | wide | B | kkraotdapxe
bulletin | Morning bulletin | normal | - | 720×500f | office | wide | B | kkwaotdapxe
bulletin | Morning bulletin | normal | - | 1024×719f | office | wide | B | kkhaotdapxe
bulletin | Morning bulletin | normal | - | 1024×720f | office | wide | B | kk+aotdapxe
bulletin | Morning bulletin | normal | - | 1024×2001f | office | wide | B | kkhaotdapxe
bulletin | Morning bulletin | normal | - | -f | office | wide | B | kkwaotdapxe
bulletin | - | normal | - | - | office | wide | B | kkraotdapxe
hazarddial | Level 3 | dialog | bulletin | 560×440 | office | wide | B | +kraotda++e
hazarddial | Level 3 | dialog | - | 560×440 | office | wide | B | +kraotdap+e
hazarddial | Level 3 | dialog | areamap | 560×440 | office | wide | M | +kraotdapxe
hazarddial | Level 3 | dialog | bulletin | 560×440f | hut | lap | R | +kwaotda++e
hazarddial | Level 3 | dialog | bulletin | 560×440 | briefing | lap | M | +kraot+a+xe
hazarddial | Profile 3 | dialog | bulletin | 560×440 | office | lap | R | +krao+da++e
dutyline | On call | utility | - | 420×120f | office | lap | R | k+waotdap+e
dutyline | On call | utility | - | 420×120f | office | wide | M | k+waotdapxe
dutyline | On call | utility | bulletin | 420×120f | hut | lap | R | k+waotda++e
dutyline | On call | utility | - | 420×120f | briefing | lap | R | k+waot+ap+e
dutyline | On call | utility | - | 420×120f | briefing | wall | B | k+waotmap+e
dutyline | Profile 1 | utility | - | 420×120 | office | wide | B | k+rao+dap+e
picker | Map colours | utility | - | 300×360f | office | wide | B | kxwaotdap+e
picker | Map colours | utility | - | 300×360f | office | wide | M | kxwaotdapxe
picker | Map colours | normal | - | 300×360f | office | wide | B | kkwaotdapxe
picker | Map colours | dialog | - | 300×360f | office | wide | B | +kwaotdap+e
picker | Hazard zones | utility | areamap | 300×360 | hut | lap | B | kxraotdap+e
wxguest | Guest screen | normal | - | 1280×1024f | office | wide | B | kk+aotdapxe
wxguest | Guest screen | normal | - | 1280×1024 | office | wide | B | kkraotdapxe
wxguest | Guest screen | normal | - | 800×1024f | office | wide | B | kkwaotdapxe
wxguest | Guest screen | normal | - | 1280×700f | office | wide | B | kkhaotdapxe
wxguest | Guest screen | normal | - | 1280×1024f | briefing | lap | R | kk+aot+apxe
wxguest | Guest screen | utility | - | 1280×1024f | office | wide | B | k++aotdap+e
wxguest | Guest screen | dialog | bulletin | 1280×1024f | office | wide | B | +k+aotda++e
areamap | Hazard zones | normal | - | 1100×760 | office | wide | B | kkr+otdapxe
areamap | hazard ZoneS | normal | - | 1100×760 | office | wide | B | kkr+otdapxe
areamap | Hazard zone | normal | - | 1100×760 | office | wide | B | kkrtotdapxe
areamap | - | normal | - | 1100×760 | office | wide | B | kkrtotdapxe
areamap | Hazard zones | normal | - | 1100×760f | office | wide | B | kk++otdapxe
areamap | Hazard zones | normal | - | 1100×760 | briefing | lap | M | kkr+ot+apxe
areamap | Hazard zones | normal | - | 1100×760 | briefing | wall | M | kkr+otmapxe
areamap | Profile 2 zones | normal | - | - | hut | lap | M | kkr+o+dapxe
areamap | Zones | dialog | bulletin | - | office | wide | B | +kr+otda++e
Areamap | Hazard zones | normal | - | - | office | wide | B | kkraotdapxe
shell | pull-obs | normal | - | 724×400 | office | lap | R | kkra+tdapxe
shell | pull-obs | normal | - | 724×400 | briefing | lap | R | kkra+t+apxe
shell | Profile 12 | normal | - | 724×400 | office | lap | R | kkra++dapxe
shell | Profile 12 | utility | - | 724×400 | hut | lap | R | k+ra++dap+e
notes | Ridge tour | normal | - | 360×300 | office | wide | B | kkra+tdapxe
notes | Ridge tour | dialog | bulletin | 360×300f | office | wide | B | +kwa+tda++e
shells | pull-obs | normal | - | - | office | lap | R | kkraotdapxe
radiolog | Today | normal | - | 480×320 | office | lap | R | kkraotd+pxe
radiolog | Today, ARCHIVED | normal | - | 480×320 | office | lap | R | kkraotdxpxe
radiolog | - | normal | - | 480×320 | office | lap | R | kkraotd+pxe
radiolog | Today | dialog | - | 480×320 | office | lap | R | +kraotd+p+e
radiolog | Today | utility | - | 480×320 | office | wide | M | k+raotd+pxe
log | Today | normal | - | - | hut | lap | R | kkraotd+pxe
LOG | Today | normal | - | - | hut | lap | R | kkraotd+pxe
logs | Today | normal | - | - | hut | lap | R | kkraotdapxe
- | Profile 9 | normal | - | - | office | wide | B | kkrao+dapxe
- | - | normal | - | - | office | wide | B | kkraotdapxe
- | - | dialog | bulletin | - | hut | lap | B | +kraotda++e
- | - | utility | - | 2000×2000f | briefing | lap | R | k++aot+ap+e
pitreader | Profile 07 | normal | - | - | office mirror | wide | B | kkrao+dapx+
pitreader | Profile 07 | normal | - | - | office one | wide | B | kkrao+dapxe
radiolog | Today | dialog | - | 480×320 | briefing mirror | lap | R | +kraot++p++
`;
