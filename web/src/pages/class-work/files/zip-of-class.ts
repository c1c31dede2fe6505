import type { RunPage } from '@green-beam/contract';
import { workOut } from '@green-beam/core';
import { strToU8, zipSync } from 'fflate';
import Papa from 'papaparse';
import { fileNameOf } from '../../../ui/file-name.ts';
import { runCsv, runJson } from '../../notebook/files/run-file.ts';

/** The pages of a class as files: each as a table and with its whole history, and a list of them. */
export class ZipOfClass {
  private readonly files: Record<string, Uint8Array> = {};
  private readonly list: string[][] = [];

  add(page: RunPage): void {
    const { protocol, events, rules, specimen, title, members, startedAt, handedInAt } = page;
    const number = String(this.list.length + 1).padStart(3, '0');
    const name = `${number}-${fileNameOf(specimen, 'laboratory').slice(0, 60)}`;
    this.files[`${name}.csv`] = strToU8(`\uFEFF${runCsv(workOut(protocol, { events }, rules))}`);
    this.files[`${name}.json`] = strToU8(runJson(page));
    this.list.push([name, title, specimen, members.join(', '), startedAt, handedInAt ?? '']);
  }

  bytes(): Uint8Array<ArrayBuffer> {
    const fields = ['File', 'Laboratory', 'What was measured', 'Group', 'Begun', 'Handed in'];
    const list = Papa.unparse({ fields, data: this.list }, { escapeFormulae: true, newline: '\r\n' });
    return zipSync({ 'list.csv': strToU8(`\uFEFF${list}`), ...this.files });
  }
}
