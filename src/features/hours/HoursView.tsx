import { useState } from 'react';
import { knownCurrencies, showMoney } from '../../core/money/currency';
import { minorOf } from '../../core/money/exact';
import type { Workplace } from '../../records/workplace';
import { sayDay } from '../../session/clock';
import { useSettings } from '../../session/useRecords';
import { useChangeWorkplace, useIsWorkplaceKept, useMoney, useWorkplace } from '../../session/useWorkplace';
import { momentOf } from '../../session/workHours';
import { Button } from '../../ui/Button';
import { DateField } from '../../ui/DateField';
import { MoneyField } from '../../ui/MoneyField';
import { NumberField } from '../../ui/NumberField';
import { reader } from '../../ui/readers';
import { Select } from '../../ui/Select';
import { ShareField } from '../../ui/ShareField';
import { TimeField } from '../../ui/TimeField';
import { useTitle } from '../../ui/useTitle';
import { Sign } from '../../ui/Sign';

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
type Change = (how: (w: Workplace) => Workplace, label: string) => void;

/** Places whose ways of writing money are offered, as BCP 47 has them; the empty one is the browser's own. */
const LOCALES = ['', 'en-GB', 'en-US', 'de-DE', 'de-CH', 'fr-FR', 'nl-NL', 'sv-SE', 'ja-JP'] as const;

/** The last minute of a day stands for its end: no clock shows 24:00. */
const shownTime = (time: string): string => (time === '24:00' ? '23:59' : time);

/** Hours of one weekday. */
const Day = (props: { readonly workplace: Workplace; readonly day: number; readonly change: Change }) => {
  const { workplace, day, change } = props;
  const name = WEEKDAYS[day] ?? '';
  const stretches = workplace.hours[day] ?? [];
  // Of what they are by then: two changes may come quicker than they are drawn.
  const set = (now: (was: Workplace['hours'][number]) => Workplace['hours'][number]): void =>
    change(w => ({ ...w, hours: w.hours.map((d, i) => (i === day ? now(d) : d)) }), `hours of ${name}`);
  return (
    <li className="flex gap-x-4 border-b border-rim py-1">
      <span className="w-24 shrink-0 pt-1.5 font-semibold">{name}</span>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        {stretches.map((s, i) => (
          <span key={i} className="flex items-center gap-1">
            <TimeField
              hideLabel
              label={`${name}, from`}
              value={shownTime(s.from)}
              onTime={from => from !== null && set(was => was.map((x, k) => (k === i ? { ...x, from } : x)))}
            />
            –
            <TimeField
              hideLabel
              label={`${name}, to`}
              value={shownTime(s.to)}
              onTime={to => to !== null && set(was => was.map((x, k) => (k === i ? { ...x, to } : x)))}
            />
            <Button
              look="bare"
              aria-label={`Remove ${s.from} to ${s.to} on ${name}`}
              onClick={() => set(was => was.filter((_, k) => k !== i))}
            >
              <Sign of="close" />
            </Button>
            {s.to <= s.from && <span className="text-wanted">ends before it begins</span>}
          </span>
        ))}
        {stretches.length < 6 && (
          <Button
            look="bare"
            aria-label={`Add hours on ${name}`}
            onClick={() => set(was => [...was, { from: '19:00', to: '21:00' }])}
          >
            + hours
          </Button>
        )}
        {stretches.length === 0 && <span className="text-chalk">no hours</span>}
      </div>
    </li>
  );
};

const DaysOff = ({ workplace, change }: { readonly workplace: Workplace; readonly change: Change }) => {
  const [day, setDay] = useState<string | null>(null);
  return (
    <div className="mt-3">
      <div className="flex flex-wrap items-end gap-3">
        <DateField label="Day off" value={day} onDay={setDay} />
        <Button
          disabled={day === null}
          onClick={() => {
            if (day === null) return;
            change(w => ({ ...w, daysOff: [...new Set([...w.daysOff, day])].toSorted() }), 'day off');
            setDay(null);
          }}
        >
          Add
        </Button>
      </div>
      <ul aria-label="Days off" className="mt-1 flex flex-wrap gap-x-4">
        {workplace.daysOff.map(off => (
          <li key={off}>
            {sayDay(momentOf(off, '12:00'))}
            <Button
              look="bare"
              aria-label={`Remove the day off ${off}`}
              onClick={() => change(w => ({ ...w, daysOff: w.daysOff.filter(d => d !== off) }), 'day off')}
            >
              <Sign of="close" />
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
};

const Count = (props: {
  readonly label: string;
  readonly unit: string;
  readonly value: number;
  readonly range: { readonly min: number; readonly max: number };
  readonly onCount: (value: number) => void;
}) => {
  const { units } = useSettings();
  return (
    <NumberField
      className="w-36"
      label={props.label}
      unit={props.unit}
      shown={String(props.value)}
      read={reader('count', units, props.range)}
      onValue={v => props.onCount(Math.round(v))}
    />
  );
};

const Hands = ({ workplace, change }: { readonly workplace: Workplace; readonly change: Change }) => (
  <section aria-labelledby="hands" className="mt-6">
    <h2 id="hands" className="border-b border-ink text-lg font-semibold">
      Hands, basin and rack
    </h2>
    <div className="mt-2 flex flex-wrap gap-4">
      <Count
        label="Wet work at a stretch"
        unit="min"
        value={workplace.sittingMin}
        range={{ min: 10, max: 600 }}
        onCount={sittingMin => change(w => ({ ...w, sittingMin }), 'stretch of work')}
      />
      <Count
        label="Then rest"
        unit="min"
        value={workplace.restMin}
        range={{ min: 0, max: 600 }}
        onCount={restMin => change(w => ({ ...w, restMin }), 'rest')}
      />
      <Count
        label="Basins"
        unit="×"
        value={workplace.basins}
        range={{ min: 1, max: 50 }}
        onCount={basins => change(w => ({ ...w, basins }), 'basins')}
      />
      <Count
        label="Places on the rack"
        unit="×"
        value={workplace.rackPlaces}
        range={{ min: 1, max: 100_000 }}
        onCount={rackPlaces => change(w => ({ ...w, rackPlaces }), 'places on the rack')}
      />
    </div>
    <p className="mt-1 max-w-prose text-[13px] text-chalk">
      Hands stand about 90 minutes of wet work, then half an hour of rest (common practice). Stop sooner if
      they hurt; numb or swollen hands are for a doctor.
    </p>
  </section>
);

const Money = ({ workplace, change }: { readonly workplace: Workplace; readonly change: Change }) => {
  const { places, code } = useMoney();
  return (
    <section aria-labelledby="money" className="min-w-0">
      <h2 id="money" className="border-b border-ink text-lg font-semibold">
        Money
      </h2>
      <div className="mt-2 flex flex-wrap gap-4">
        <Select
          label="Currency"
          value={workplace.currency}
          options={knownCurrencies().map(c => ({ value: c, text: c }))}
          onPick={currency => change(w => ({ ...w, currency }), 'currency')}
        />
        <Select
          label="How sums are written"
          value={LOCALES.find(l => l === workplace.locale) ?? ''}
          options={LOCALES.map(value => ({
            value,
            text: `${showMoney(minorOf(1234.5, places), { code, locale: value === '' ? null : value })}${value === '' ? ', as this browser does' : ''}`,
          }))}
          onPick={v => change(w => ({ ...w, locale: v === '' ? null : v }), 'how sums are written')}
        />
      </div>
      <div className="mt-3 flex flex-wrap gap-4">
        <MoneyField
          label="An hour of hands"
          minor={workplace.hourRate}
          places={places}
          code={code}
          onMinor={hourRate => change(w => ({ ...w, hourRate }), 'hour of hands')}
        />
        <MoneyField
          label="Soap and water, a sitting"
          className="w-44"
          minor={workplace.sittingCost}
          places={places}
          code={code}
          onMinor={sittingCost => change(w => ({ ...w, sittingCost }), 'soap and water')}
        />
      </div>
      <div className="mt-3 flex flex-wrap gap-4">
        <ShareField
          label="Overhead on top"
          bp={workplace.overheadBp}
          onBp={overheadBp => change(w => ({ ...w, overheadBp }), 'overhead')}
        />
        <ShareField
          label="Selling fee"
          bp={workplace.feeBp}
          onBp={feeBp => change(w => ({ ...w, feeBp }), 'selling fee')}
        />
        <ShareField
          label="Margin wanted"
          bp={workplace.marginBp}
          onBp={marginBp => change(w => ({ ...w, marginBp }), 'margin')}
        />
      </div>
      <p className="mt-1 max-w-prose text-[13px] text-chalk">
        Overhead is on all other costs; fee and margin are shares of the price. Taxes and what your trade asks
        for are not counted here: ask those who know them where you live. A change of currency changes no
        figure that was typed.
      </p>
    </section>
  );
};

/** A maker's hours, hands and money: what schedules and prices are worked out with. */
export const HoursView = () => {
  useTitle('Hours and money');
  const workplace = useWorkplace();
  const changeWorkplace = useChangeWorkplace();
  const isKept = useIsWorkplaceKept();
  const change: Change = (how, label) => changeWorkplace(how, { label, key: label });
  return (
    <div className="min-h-0 flex-1 overflow-auto px-6 py-4">
      <h1 className="text-3xl font-semibold">Hours and money</h1>
      {/* Whoever leaves in the moment before there is a record would lose what they typed. */}
      <fieldset disabled={!isKept} className="mt-3 grid gap-x-12 gap-y-6 lg:grid-cols-2">
        <div>
          <section aria-labelledby="hours">
            <h2 id="hours" className="border-b border-ink text-lg font-semibold">
              Hours for felting
            </h2>
            <ul>
              {WEEKDAYS.map((name, day) => (
                <Day key={name} workplace={workplace} day={day} change={change} />
              ))}
            </ul>
            <DaysOff workplace={workplace} change={change} />
          </section>
          <Hands workplace={workplace} change={change} />
        </div>
        <Money workplace={workplace} change={change} />
      </fieldset>
    </div>
  );
};
