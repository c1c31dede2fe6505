import { instrumentIds, instrumentById, toolFamilies } from '@green-beam/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { DecimalMark } from '../../../numbers/decimal-mark.ts';
import { Shelf, type BesideTool } from './shelf.tsx';
import { MIX, toolsAt } from './tools-at.ts';

const nothing: BesideTool = () => null;

function shown(props: Partial<Parameters<typeof Shelf>[0]> = {}, mark: 'point' | 'comma' = 'point'): string {
  return renderToStaticMarkup(
    <MemoryRouter>
      <DecimalMark value={mark}>
        <Shelf mix="A mix" unknown={null} standing={nothing} {...props} />
      </DecimalMark>
    </MemoryRouter>,
  );
}

/** Where the links lead that are read out and reached by keys. */
function addresses(markup: string): string[] {
  return [...markup.matchAll(/<a ([^>]*)>/g)]
    .filter(([, attributes = '']) => !attributes.includes('aria-hidden'))
    .map(([, attributes = '']) => /href="([^"]*)"/.exec(attributes)?.[1] ?? '');
}

describe('the shelf', () => {
  const markup = shown();

  it('has every tool once, and every family of several', () => {
    const families = toolFamilies().filter(({ tools }) => tools.length > 1);
    const expected = [MIX, ...families.map(({ id }) => id), ...instrumentIds()].map((name) => `/bench/${name}`);
    expect(addresses(markup).sort()).toEqual(expected.sort());
  });

  it('has links that all lead to tools', () => {
    for (const address of addresses(markup)) expect(toolsAt(address.replace('/bench/', ''))).not.toBeNull();
  });

  it('has a picture of each family that says which tools it is of', () => {
    for (const { name } of toolFamilies()) expect(markup).toContain(`aria-label="${name}"`);
    expect(markup.match(/<svg/g)?.length).toBeGreaterThanOrEqual(toolFamilies().length);
    expect(markup).not.toMatch(/NaN|undefined/);
  });

  it('asks for the standing of each tool, each family and the mix', () => {
    const asked = new Map<string, readonly string[]>();
    shown({
      standing: (name, toolIds) => {
        asked.set(name, toolIds);
        return null;
      },
    });
    expect(asked.get(MIX)).toEqual([]);
    for (const id of instrumentIds()) expect(asked.get(id)).toEqual([id]);
    for (const { id, tools } of toolFamilies().filter((family) => family.tools.length > 1))
      expect(asked.get(id)).toEqual(tools.map((tool) => tool.id));
  });

  it('has boxes to tick for a teacher only', () => {
    expect(markup).not.toContain('<input');
    const ticked = shown({ tick: (toolId) => <input type="checkbox" name={toolId} /> });
    expect(ticked.match(/<input/g)).toHaveLength(instrumentIds().length);
  });

  it('says which name in a link is none, as text', () => {
    expect(shown({ unknown: '<b>sundial' })).toContain('There is no tool called “&lt;b&gt;sundial”');
    expect(markup).not.toContain('There is no tool');
  });

  it('writes sizes of tools with the decimal mark of the class', () => {
    const sized = instrumentIds()
      .map((id) => instrumentById(id).name)
      .find((name) => /\d\.\d/.test(name));
    expect(sized).toBeDefined();
    const text = shown({}, 'comma')
      .replace(/<svg.*?<\/svg>/gs, '')
      .replace(/<[^>]*>/g, ' ');
    expect(text).not.toMatch(/\d\.\d/);
    expect(text.toLowerCase()).toContain((sized ?? '').replace('.', ',').toLowerCase());
  });
});

describe('a name in an address', () => {
  it('is of a tool, of a family, of the mix, or of nothing', () => {
    expect(toolsAt('burette-50')).toEqual(['burette-50']);
    expect(toolsAt('burettes')).toContain('burette-50');
    expect(toolsAt(MIX)).toEqual([]);
    for (const name of ['sundial', '', 'constructor', '__proto__', 'toString']) expect(toolsAt(name)).toBeNull();
  });
});
