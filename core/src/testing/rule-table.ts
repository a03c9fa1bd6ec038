import { profileSchema } from '../model/profile.ts';

/** Ten rules of every kind of condition. */
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
  ],
});

/**
 * A window in each line: app, title, kind, parent, size (f: fixed), desk, monitor, workspace. Then a letter for each of
 * the ten rules: + it matches; else what of the window is the first to keep it from matching: kind, app, title,
 * resizable, width, height, desk, monitor, parent, an excluded condition (x), or that none of several holds (o).
 */
export const TABLE = `
pitreader | Profile 07 | normal | - | 1300×700 | office | wide | B | kkrao+dapx
pitreader | Profile 07 | normal | - | - | office | wide | B | kkrao+dapx
pitreader | profile 07 | normal | - | - | office | wide | B | kkraotdapx
pitreader | Profile x | normal | - | - | office | wide | B | kkraotdapx
pitreader | Profile 7 | normal | - | - | hut | lap | B | kkrao+dapx
pitreader | Profile 7 | normal | - | - | briefing | lap | B | kkraoo+apx
pitreader | Profile 7 | normal | - | - | briefing | wall | M | kkraoomapx
pitreader | My Profile 7 | normal | - | - | hut | lap | R | kkraotdapx
bulletin | Morning bulletin | normal | - | 720×500 | office | wide | B | kkraotdapx
bulletin | Morning bulletin | normal | - | 720×500f | office | wide | B | kkwaotdapx
bulletin | Morning bulletin | normal | - | 1024×719f | office | wide | B | kkhaotdapx
bulletin | Morning bulletin | normal | - | 1024×720f | office | wide | B | kk+aotdapx
bulletin | Morning bulletin | normal | - | 1024×2001f | office | wide | B | kkhaotdapx
bulletin | Morning bulletin | normal | - | -f | office | wide | B | kkwaotdapx
bulletin | - | normal | - | - | office | wide | B | kkraotdapx
hazarddial | Level 3 | dialog | bulletin | 560×440 | office | wide | B | +kraotda++
hazarddial | Level 3 | dialog | - | 560×440 | office | wide | B | +kraotdap+
hazarddial | Level 3 | dialog | areamap | 560×440 | office | wide | M | +kraotdapx
hazarddial | Level 3 | dialog | bulletin | 560×440f | hut | lap | R | +kwaotda++
hazarddial | Level 3 | dialog | bulletin | 560×440 | briefing | lap | M | +kraot+a+x
hazarddial | Profile 3 | dialog | bulletin | 560×440 | office | lap | R | +krao+da++
dutyline | On call | utility | - | 420×120f | office | lap | R | k+waotdap+
dutyline | On call | utility | - | 420×120f | office | wide | M | k+waotdapx
dutyline | On call | utility | bulletin | 420×120f | hut | lap | R | k+waotda++
dutyline | On call | utility | - | 420×120f | briefing | lap | R | k+waot+ap+
dutyline | On call | utility | - | 420×120f | briefing | wall | B | k+waotmap+
dutyline | Profile 1 | utility | - | 420×120 | office | wide | B | k+rao+dap+
picker | Map colours | utility | - | 300×360f | office | wide | B | kxwaotdap+
picker | Map colours | utility | - | 300×360f | office | wide | M | kxwaotdapx
picker | Map colours | normal | - | 300×360f | office | wide | B | kkwaotdapx
picker | Map colours | dialog | - | 300×360f | office | wide | B | +kwaotdap+
picker | Hazard zones | utility | areamap | 300×360 | hut | lap | B | kxraotdap+
wxguest | Guest screen | normal | - | 1280×1024f | office | wide | B | kk+aotdapx
wxguest | Guest screen | normal | - | 1280×1024 | office | wide | B | kkraotdapx
wxguest | Guest screen | normal | - | 800×1024f | office | wide | B | kkwaotdapx
wxguest | Guest screen | normal | - | 1280×700f | office | wide | B | kkhaotdapx
wxguest | Guest screen | normal | - | 1280×1024f | briefing | lap | R | kk+aot+apx
wxguest | Guest screen | utility | - | 1280×1024f | office | wide | B | k++aotdap+
wxguest | Guest screen | dialog | bulletin | 1280×1024f | office | wide | B | +k+aotda++
areamap | Hazard zones | normal | - | 1100×760 | office | wide | B | kkr+otdapx
areamap | hazard ZoneS | normal | - | 1100×760 | office | wide | B | kkr+otdapx
areamap | Hazard zone | normal | - | 1100×760 | office | wide | B | kkrtotdapx
areamap | - | normal | - | 1100×760 | office | wide | B | kkrtotdapx
areamap | Hazard zones | normal | - | 1100×760f | office | wide | B | kk++otdapx
areamap | Hazard zones | normal | - | 1100×760 | briefing | lap | M | kkr+ot+apx
areamap | Hazard zones | normal | - | 1100×760 | briefing | wall | M | kkr+otmapx
areamap | Profile 2 zones | normal | - | - | hut | lap | M | kkr+o+dapx
areamap | Zones | dialog | bulletin | - | office | wide | B | +kr+otda++
Areamap | Hazard zones | normal | - | - | office | wide | B | kkraotdapx
shell | pull-obs | normal | - | 724×400 | office | lap | R | kkra+tdapx
shell | pull-obs | normal | - | 724×400 | briefing | lap | R | kkra+t+apx
shell | Profile 12 | normal | - | 724×400 | office | lap | R | kkra++dapx
shell | Profile 12 | utility | - | 724×400 | hut | lap | R | k+ra++dap+
notes | Ridge tour | normal | - | 360×300 | office | wide | B | kkra+tdapx
notes | Ridge tour | dialog | bulletin | 360×300f | office | wide | B | +kwa+tda++
shells | pull-obs | normal | - | - | office | lap | R | kkraotdapx
radiolog | Today | normal | - | 480×320 | office | lap | R | kkraotd+px
radiolog | Today, ARCHIVED | normal | - | 480×320 | office | lap | R | kkraotdxpx
radiolog | - | normal | - | 480×320 | office | lap | R | kkraotd+px
radiolog | Today | dialog | - | 480×320 | office | lap | R | +kraotd+p+
radiolog | Today | utility | - | 480×320 | office | wide | M | k+raotd+px
log | Today | normal | - | - | hut | lap | R | kkraotd+px
LOG | Today | normal | - | - | hut | lap | R | kkraotd+px
logs | Today | normal | - | - | hut | lap | R | kkraotdapx
- | Profile 9 | normal | - | - | office | wide | B | kkrao+dapx
- | - | normal | - | - | office | wide | B | kkraotdapx
- | - | dialog | bulletin | - | hut | lap | B | +kraotda++
- | - | utility | - | 2000×2000f | briefing | lap | R | k++aot+ap+
`;
