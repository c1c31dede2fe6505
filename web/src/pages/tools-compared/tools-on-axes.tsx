import { writtenAtPlace, type PooledTool } from '@green-beam/core';
import type { ReactNode } from 'react';
import { BiasSpreadChart } from '../../charts/bias-spread-chart.tsx';
import { unitText } from '../../numbers/unit-text.ts';

interface ToolsOnAxesProps {
  readonly tools: readonly PooledTool[];
  /** The member of the tool whose tolerance is drawn; none where it is none of them. */
  readonly chosen: string;
  readonly onChoose?: (member: string) => void;
  /** How many times larger than on a desk. */
  readonly scale?: number;
}

/** The tools of a whole class on two axes. */
export function ToolsOnAxes({ tools, chosen, onChoose, scale }: ToolsOnAxesProps): ReactNode {
  return (
    <BiasSpreadChart
      marks={tools.map(({ member, name, error, half, spread }) => ({
        key: member,
        name,
        bias: error,
        half,
        spread,
      }))}
      chosen={chosen}
      {...(onChoose && { onChoose })}
      tolerance={tools.find(({ member }) => member === chosen)?.tolerance ?? null}
      unit={unitText(tools[0]?.unit ?? '')}
      textOf={(value) => writtenAtPlace(value, -2)}
      {...(scale !== undefined && { scale })}
    />
  );
}
