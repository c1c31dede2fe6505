import type { DisplayPicture } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import type { Shown } from '../display/shown.ts';
import { Light } from '../light.tsx';
import { thingTint } from '../thing-tints.ts';

interface DigitalBodyProps {
  readonly picture: DisplayPicture;
  readonly shown: Shown;
  readonly vessel: boolean;
  readonly thing: boolean;
  /** What disturbed the weighing has been put right. */
  readonly putRight: boolean;
}

const PAN_Y = 214;
const MIDDLE = 420;

function Thing({ picture, vessel, putRight }: Omit<DigitalBodyProps, 'shown' | 'thing'>): ReactNode {
  const spoilt = putRight ? null : (picture.weighables?.spoilt?.how ?? null);
  const x = MIDDLE + (spoilt === 'off-centre' ? 96 : 0);
  const y = PAN_Y - (vessel ? 6 : 0);
  return (
    <g strokeLinejoin="round">
      {picture.thing.count === 1 ? (
        <path
          d={`M${x - 42} ${y}q-8 -38 20 -48q34 -12 54 6q18 18 10 42Z`}
          fill={thingTint(picture.thing.name)}
          stroke="#13251f"
          strokeWidth="1.6"
        />
      ) : (
        Array.from({ length: picture.thing.count }, (_, i) => (
          <rect
            key={i}
            x={x - 50 + (i % 4) * 26}
            y={y - 18 - Math.floor(i / 4) * 19}
            width="24"
            height="18"
            rx="6"
            fill={thingTint(picture.thing.name)}
            stroke="#13251f"
            strokeWidth="1.4"
          />
        ))
      )}
      {spoilt === 'wet' &&
        [-28, -6, 18, 34].map((dx, i) => (
          <path
            key={dx}
            d={`M${x + dx} ${y - 14 - (i % 2) * 14}q-5 8 0 11q5 -3 0 -11Z`}
            fill="#2f7ea8"
            fillOpacity="0.75"
            stroke="#1d5675"
            strokeWidth="0.8"
          />
        ))}
      {spoilt === 'fingerprints' && (
        <g fill="none" stroke="#f6f6f1" strokeOpacity="0.75" strokeWidth="1.3">
          {[3, 6, 9].map((r) => (
            <ellipse key={r} cx={x + 4} cy={y - 26} rx={r} ry={r * 1.35} />
          ))}
        </g>
      )}
    </g>
  );
}

/** A shield of glass round the pan of the finest balance, its door open or closed. */
function Shield({ open }: { readonly open: boolean }): ReactNode {
  return (
    <g fill="rgb(150 190 200 / 0.10)" stroke="#7d959b" strokeWidth="2.4">
      <rect x="262" y="72" width="316" height="150" />
      <line x1="420" x2="420" y1="72" y2="222" strokeWidth={open ? 0 : 2} />
      {open && <rect x="578" y="72" width="120" height="150" fill="rgb(150 190 200 / 0.05)" strokeDasharray="7 5" />}
      {open && (
        <text x="638" y="150" textAnchor="middle" fontSize="14" fill="var(--color-muted)" stroke="none">
          door open
        </text>
      )}
    </g>
  );
}

/** A digital balance seen from the front: pan, what is on it, display. */
export function DigitalBody({ picture, shown, vessel, thing, putRight }: DigitalBodyProps): ReactNode {
  const numerals = useNumerals();
  const id = useId();
  const fine = picture.instrumentId === 'digital-balance-milligram';
  const open = fine && picture.weighables?.spoilt?.how === 'draught' && !putRight;
  return (
    <g className="own-ink">
      <Light id={id} names={['case', 'pan', 'rider', 'slide']} />
      {thing && <Thing picture={picture} vessel={vessel} putRight={putRight} />}
      {vessel && (
        <path
          d={`M${MIDDLE - 82} ${PAN_Y - 52}L${MIDDLE - 72} ${PAN_Y - 8}Q${MIDDLE - 70} ${PAN_Y} ${MIDDLE - 58} ${PAN_Y}H${MIDDLE + 58}Q${MIDDLE + 70} ${PAN_Y} ${MIDDLE + 72} ${PAN_Y - 8}L${MIDDLE + 82} ${PAN_Y - 52}`}
          fill="rgb(120 170 180 / 0.16)"
          stroke="#4c6a72"
          strokeWidth="2.4"
        />
      )}
      {fine && <Shield open={open} />}
      <path
        d={`M${MIDDLE - 128} ${PAN_Y}H${MIDDLE + 128}L${MIDDLE + 118} ${PAN_Y + 11}H${MIDDLE - 118}Z`}
        fill={`url(#${id}-pan)`}
        stroke="#6d8078"
        strokeWidth="1.4"
      />
      <rect x={MIDDLE - 20} y={PAN_Y + 11} width="40" height="20" fill={`url(#${id}-rider)`} stroke="#6d8078" />
      {[222, 598].map((foot) => (
        <rect key={foot} x={foot} y="484" width="36" height="12" rx="3" fill="#56655e" />
      ))}
      <path
        d={`M214 258Q216 ${PAN_Y + 31} 240 ${PAN_Y + 31}H600Q624 ${PAN_Y + 31} 626 258L650 470Q652 486 634 486H206Q188 486 190 470Z`}
        fill={`url(#${id}-case)`}
        stroke="#6d8078"
        strokeWidth="1.6"
      />
      <rect x="246" y="296" width="348" height="110" rx="8" fill="#c7d3c4" stroke="#4c5b53" strokeWidth="2" />
      <path
        d="M250 302Q250 299 254 299H586Q590 299 590 302"
        fill="none"
        stroke="#33463d"
        strokeOpacity="0.35"
        strokeWidth="4"
      />
      <text
        x="540"
        y="374"
        textAnchor="end"
        fontSize="64"
        className="font-mono"
        fill="#13251f"
        data-display={shown.characters}
      >
        {numerals(shown.characters)}
      </text>
      {shown.characters !== '' && (
        <text x="552" y="374" fontSize="26" className="font-mono" fill="#13251f">
          {picture.unitMark}
        </text>
      )}
      {shown.stable && <path d="M258 366l7 9l12 -20" fill="none" stroke="#13251f" strokeWidth="4" data-stable="true" />}
      <text x="258" y="400" fontSize="13" fill="#33463d">
        {shown.characters === '' ? '' : shown.stable ? 'stable' : 'settling'}
      </text>
      <text x={MIDDLE} y="452" textAnchor="middle" fontSize="15" fill="#33463d">
        {picture.weighables
          ? `takes up to ${numerals(String(picture.weighables.capacity / 10 ** picture.weighables.decimals))} ${picture.unitMark}`
          : ''}
      </text>
    </g>
  );
}
