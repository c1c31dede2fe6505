import { describe, expect, it } from 'vitest';
import { rowsOf } from './roster-rows.ts';

const INES = { firstName: 'Ines', lastName: 'Varga' };
const TOMASZ = { firstName: 'Tomasz', lastName: 'Bielak' };

describe('a class list', () => {
  it.each([
    ['comma', 'Ines,Varga\nTomasz,Bielak'],
    ['semicolon', 'Ines;Varga\nTomasz;Bielak'],
    ['tab, as pasted from a table', 'Ines\tVarga\r\nTomasz\tBielak\r\n'],
    ['with a heading', 'First name,Last name\nInes,Varga\nTomasz,Bielak'],
    ['with a heading in the other order', 'Surname;Given name\nVarga;Ines\nBielak;Tomasz'],
    ['with columns in between', 'No,family_name,Form,first-name\n1,Varga,9,Ines\n2,Bielak,9,Tomasz'],
    ['whole names', 'Ines Varga\nTomasz Bielak'],
    ['whole names with a heading', 'Student\nInes Varga\nTomasz Bielak'],
    ['empty lines and blanks around', '\n  Ines , Varga \n\n ,\nTomasz,Bielak\n\n'],
    ['a mark at the start of the file', '\uFEFFfirst name,last name\nInes,Varga\nTomasz,Bielak'],
  ])('separated by %s', (_, text) => {
    expect(rowsOf(text)).toEqual([INES, TOMASZ]);
  });

  it('keeps a comma inside quotation marks', () => {
    expect(rowsOf('first name,last name\n"Maria, called Mia",O’Neil')).toEqual([
      { firstName: 'Maria, called Mia', lastName: 'O’Neil' },
    ]);
  });

  it('takes several first names, and a name of one word', () => {
    expect(rowsOf('Anna Maria Lind\nSigrid')).toEqual([
      { firstName: 'Anna Maria', lastName: 'Lind' },
      { firstName: 'Sigrid', lastName: '' },
    ]);
  });

  it('leaves a missing first name empty for the server to name its row', () => {
    expect(rowsOf('last name\nVarga')).toEqual([{ firstName: '', lastName: 'Varga' }]);
    expect(rowsOf('first name,last name\n,Varga')).toEqual([{ firstName: '', lastName: 'Varga' }]);
  });

  it('has no rows in an empty text', () => {
    expect(rowsOf('')).toEqual([]);
    expect(rowsOf('  \n \n')).toEqual([]);
  });
});
