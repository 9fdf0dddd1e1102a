import { useState } from 'react';
import { hasSerial } from '../../session/serialScale';
import type { Scale, ScaleSettings } from '../../session/useScale';
import { Button } from '../../ui/Button';
import { Select, wordOptions } from '../../ui/Select';

const SPEEDS = [1200, 2400, 4800, 9600, 19_200, 115_200] as const;
const USUAL_SPEED = 9600;

/** A real scale on the serial port: its speed, and what it means where it says no unit. */
const Connect = ({ scale }: { readonly scale: Scale }) => {
  const [settings, setSettings] = useState<ScaleSettings>({ baudRate: USUAL_SPEED, unit: 'g' });
  return (
    <>
      <Button onClick={() => scale.connect(settings)}>Connect a scale</Button>
      <Select
        hideLabel
        label="Speed of the scale"
        value={String(settings.baudRate)}
        options={SPEEDS.map(speed => ({ value: String(speed), text: `${speed} baud` }))}
        onPick={speed => setSettings(was => ({ ...was, baudRate: Number(speed) }))}
      />
      <Select
        hideLabel
        label="A number without a unit is in"
        value={settings.unit}
        options={wordOptions(['g', 'oz'] as const)}
        onPick={unit => setSettings(was => ({ ...was, unit }))}
      />
    </>
  );
};

/** Which scale is read: none, a real one, or the simulated one; and what is wrong with it. */
export const ScaleChoice = ({ scale }: { readonly scale: Scale }) => (
  <div className="flex flex-wrap items-center gap-2">
    {scale.source === 'none' ? (
      <>
        {hasSerial() && <Connect scale={scale} />}
        <Button onClick={scale.simulate}>Simulated scale</Button>
      </>
    ) : (
      <>
        {scale.source === 'simulated' &&
          [1, 5, -1].map(g => (
            <Button key={g} onClick={() => scale.add(g)}>
              {g > 0 ? `Put ${g} g on` : `Take ${-g} g off`}
            </Button>
          ))}
        <Button onClick={scale.letGo}>Disconnect the scale</Button>
      </>
    )}
    {scale.trouble && (
      <p role="alert" className="w-full border-l-4 border-now pl-3">
        {scale.trouble}
      </p>
    )}
  </div>
);
