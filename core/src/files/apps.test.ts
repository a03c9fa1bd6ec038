import { describe, expect, it } from 'vitest';
import { startChanged, withApps, withoutApp, withStart } from '../model/apps-edit.ts';
import { profileSchema } from '../model/profile.ts';
import { readDesktopEntry } from './desktop-entry.ts';
import { readWindowsCsv } from './windows-csv.ts';

const entry = (...lines: string[]) =>
  readDesktopEntry(['[Desktop Entry]', ...lines].join('\n'), 'apps/org.example.Notes.desktop');
const told = ({ faults }: { faults: { line: number; text: string }[] }) =>
  faults.map(({ line, text }) => `${line}: ${text}`);

describe('desktop entries', () => {
  it('tell of an app; what they say in other languages, and to others, is passed over', () => {
    const read = entry(
      'Type=Application',
      '# a comment',
      'Name = Tour Notes',
      'Name[de]=Tourennotizen',
      'Icon=tour-notes',
      'Exec=tour-notes --open "%U" \\\\ \\s',
      'StartupWMClass=notes',
      'Categories=Office;Utility;',
      '',
      '[Desktop Action new]',
      'Name=New note',
      'nonsense that is not ours',
    );
    expect(read).toEqual({
      app: {
        id: 'notes',
        name: 'Tour Notes',
        kind: 'normal',
        icon: 'tour-notes',
        exec: 'tour-notes --open "%U" \\  ',
      },
      faults: [],
    });
  });

  it('without a class are called by their file, and without a name by nothing else', () => {
    expect(entry('Type=Application', 'Name=Post').app?.id).toBe('org.example.Notes');
    const nameless = entry('Type=Application');
    expect(nameless.app).toEqual({ id: 'org.example.Notes', kind: 'normal' });
    expect(told(nameless)).toEqual(['1: no Name; it is called org.example.Notes']);
  });

  it('tell each faulty line, and the rest is used', () => {
    const read = readDesktopEntry(
      'Name=Early\n[Desktop Entry]\r\nType=Application\r\nname=Small\r\nNa me=x\r\nName=Area Map\r\nName=Again\r\nIcon=a\\qb\r\nStartupWMClass=area map\r\n',
      'map.desktop',
    );
    expect(told(read)).toEqual([
      '1: it stands before any group; expected [Desktop Entry] first',
      '4: name is not read; expected Name',
      '5: “Na me=x”; expected Key=Value',
      '7: Name was given in line 6 already',
      '8: “Icon=a\\qb”; expected \\s, \\n, \\t, \\r or \\\\ after a backslash',
      '9: “area map” has characters that no id has; it is area-map',
    ]);
    expect(read.app).toEqual({ id: 'area-map', name: 'Area Map', kind: 'normal' });
  });

  it('that are none, or tell of no app, are refused', () => {
    expect(readDesktopEntry('Hello', 'x')).toEqual({
      app: null,
      faults: [
        { line: 1, text: 'it stands before any group; expected [Desktop Entry] first' },
        { line: 1, text: 'no group [Desktop Entry]: this is no desktop entry' },
      ],
    });
    expect(told(entry('Type=Directory', 'Name=Tools'))).toEqual([
      '2: Type is “Directory”; it tells of no app',
    ]);
    expect(told(entry('Type=Program', 'Name=Post'))).toEqual([
      '2: Type is “Program”; expected Application',
    ]);
    expect(entry('Type=Application', 'Name=x', 'StartupWMClass=///').app).toBeNull();
  });
});

describe('lists of windows', () => {
  it('give each app its own window first, then further ones; quotes, semicolons and blank lines are read', () => {
    const { apps, faults } = readWindowsCsv(
      '\uFEFFApp;Name;Title;Kind;Min width;Min height;Resizable\n\nstations;Station Feed;24 stations;;640;400;\nstations;;"Alarm; loud\nand ""long""";Dialog;;;no\npost;;;;;;\n',
    );
    expect(faults).toEqual([]);
    expect(apps).toEqual([
      {
        id: 'stations',
        name: 'Station Feed',
        title: '24 stations',
        kind: 'normal',
        min: { width: 640, height: 400 },
        windows: [{ title: 'Alarm; loud\nand "long"', kind: 'dialog', resizable: false }],
      },
      { id: 'post', kind: 'normal' },
    ]);
  });

  it('tell the line of each faulty row, also behind rows of several lines', () => {
    const read = readWindowsCsv(
      'app,title,kind,width,height,resizable,colour\na,"one\ntwo",normal,,,,\na,,normal,,,,\na,x,window,10,,perhaps,\na,one,normal,1,2,,,9\n,y,normal,,,,\nb,z,normal,12.5,3,,\na,x,normal,,,yes,\na,x,normal,,,,\n',
    );
    expect(told(read)).toEqual([
      '1: no column is called “colour”; one of app, name, title, kind, parent, width, height, min_width, min_height, max_width, max_height, resizable',
      '4: title: nothing; expected a title of 1 to 20000 characters',
      '5: kind: "window"; expected one of normal, dialog, utility',
      '5: resizable: "perhaps"; expected true or false',
      '5: height: nothing; expected a whole number from 1 to 100000',
      '6: 8 values; expected at most 7',
      '7: app: nothing; expected a name of 1 to 80 characters without spaces or slashes',
      '8: width: "12.5"; expected a whole number from 1 to 100000',
      '10: a has a window “x” already',
    ]);
    expect(read.apps).toEqual([
      {
        id: 'a',
        title: 'one\ntwo',
        kind: 'normal',
        windows: [{ title: 'x', kind: 'normal', resizable: true }],
      },
    ]);
  });

  it('add no app where a quote stays open, and tell the line where it was opened', () => {
    const read = readWindowsCsv('app,title\na,"one\ntwo"\nb,"three\nc,four\n');
    expect(told(read)).toEqual(['4: a quote that is opened here is never closed']);
    expect(read.apps).toEqual([{ id: 'a', title: 'one\ntwo', kind: 'normal' }]);
  });

  it('without what is needed are refused', () => {
    expect(told(readWindowsCsv(''))[0]).toContain(
      '1: the file is empty; expected a line with app, name',
    );
    expect(told(readWindowsCsv('title\nx\n'))).toEqual([
      '1: no column app; expected one with the id of each window’s app, or one with its name',
    ]);
  });
});

describe('lists of windows without ids', () => {
  it('give each app one made of its name; a second row of that name is a further window of it', () => {
    const { apps, faults } = readWindowsCsv(
      'name,title\nTour Notes,Ridge\nPost,\nTour Notes,Valley\n',
    );
    expect(faults).toEqual([]);
    expect(apps.map(({ id, name, windows }) => [id, name, windows?.length])).toEqual([
      ['Tour-Notes', 'Tour Notes', 1],
      ['Post', 'Post', undefined],
    ]);
    const unnamed = readWindowsCsv('app,name\n,Shell\n,\npost,\n');
    expect(unnamed.apps.map(({ id }) => id)).toEqual(['Shell', 'post']);
  });
});

describe('imported apps', () => {
  const profile = profileSchema.parse({
    monitors: [{ id: 'm', width: 1920, height: 1080 }],
    apps: [{ id: 'post', name: 'Mail', kind: 'utility', hue: 7, windows: [{ title: 'Draft' }] }],
    start: [{ app: 'post' }, { app: 'gone' }],
  });

  it('join what is there, and keep what the import does not say', () => {
    const {
      profile: next,
      added,
      changed,
    } = withApps(profile, [
      {
        id: 'post',
        kind: 'normal',
        exec: 'post %u',
        windows: [
          { title: 'Search', kind: 'dialog' },
          { title: 'Draft', kind: 'utility' },
        ],
      },
      { id: 'area', name: 'Area Map', kind: 'normal' },
    ]);
    expect([added, changed]).toEqual([['area'], ['post']]);
    expect(next.apps[0]).toEqual({
      id: 'post',
      name: 'Mail',
      kind: 'utility',
      hue: 7,
      exec: 'post %u',
      windows: [
        { title: 'Search', kind: 'dialog' },
        { title: 'Draft', kind: 'utility' },
      ],
    });
    expect(next.apps[1]).toMatchObject({ id: 'area', name: 'Area Map', balloon: 'AM' });
    expect(profileSchema.parse(next)).toEqual(next);
    expect(withApps(next, [next.apps[1]!])).toMatchObject({ added: [], changed: [] });
  });

  it('are opened at the start, elsewhere, or no more', () => {
    const more = withStart(profile, 'post');
    expect(startChanged(more, 0, (entry) => ({ ...entry, workspace: 'B' })).start).toEqual([
      { app: 'post', workspace: 'B' },
      { app: 'gone' },
      { app: 'post' },
    ]);
    expect(startChanged(more, 1, () => null).start).toHaveLength(2);
    expect(withoutApp(more, 'post')).toMatchObject({ apps: [], start: [{ app: 'gone' }] });
  });
});
