import { cellInWords, membersInWords, type Address, type WorkedRun } from '@green-beam/core';
import { SECTION_NAMES } from './report/sections.ts';

/** A place as its writer would know it again: `Dry mass, trial 1`. */
export function placeInWords({ setting }: WorkedRun, address: Address): string {
  const { protocol, dimensions } = setting.layout;
  switch (address.kind) {
    case 'cell':
    case 'shown':
    case 'adjustment':
    case 'link':
    case 'tool': {
      const what = cellInWords(setting, address.quantity, address.members);
      if (address.kind === 'shown') return `Working of ${what}`;
      return address.kind === 'tool' ? `Tool for ${what}` : address.kind === 'adjustment' ? `Added to ${what}` : what;
    }
    case 'option':
      return protocol.options.find(({ id }) => id === address.option)?.name ?? address.option;
    case 'members':
      return dimensions.get(address.dimension)?.name ?? address.dimension;
    case 'excluded':
      return `Excluded, ${membersInWords(setting, { ...address.within, [address.dimension]: address.member })}`;
    case 'accepted':
      return 'Compared with';
    case 'specimen':
      return 'What is measured';
    case 'answer':
      return protocol.questions.find(({ id }) => id === address.question)?.text ?? address.question;
    case 'report':
      return SECTION_NAMES[address.section];
    case 'statement':
      return protocol.statements.find(({ id }) => id === address.statement)?.text ?? address.statement;
  }
}
