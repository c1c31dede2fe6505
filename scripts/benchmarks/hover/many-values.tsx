import { createRoot } from 'react-dom/client';
import { DotStrip } from '../../../web/src/charts/dot-strip.tsx';

const COUNT = 5000;

/** Spread evenly enough that the pointer is always near one, and never the same twice. */
const repeats = Array.from({ length: COUNT }, (_, i) => {
  const value = 25 + Math.sin(i * 12.9898) * 0.8 + Math.sin(i * 78.233) * 0.2;
  return { name: `Value ${i + 1}`, text: value.toFixed(3), value };
});

const root = document.getElementById('root');
if (root)
  createRoot(root).render(
    <DotStrip
      title="Many values"
      repeats={repeats}
      mean={25}
      meanText="25.000"
      spread={0.58}
      accepted={{ name: 'Accepted', least: 24.9, most: 25.1 }}
      unit="mL"
    />,
  );
