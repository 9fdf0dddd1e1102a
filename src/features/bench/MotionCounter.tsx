import { useState } from 'react';
import { z } from 'zod';
import type { Act } from '../../core/acts/act';
import { MOTION_PLACES, type MotionPlace } from '../../core/motion/motion';
import { useKeptDraft } from '../../session/useKeptDraft';
import { type MotionTrouble, useMotionCount } from '../../session/useMotionCount';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/Choice';
import { MOTION_DOUBT_WORDS, MOTION_PLACE_WORDS } from '../../words/motion';
import { PanelFrame } from './PanelFrame';
import { withCount } from './pacing';

const TROUBLE: Readonly<Record<MotionTrouble, string>> = {
  unsafe:
    'A browser gives motion to a secure address only. Open Jorrit on this phone by https, or as the guide says under “At home”.',
  none: 'This device feels no motion. Use a phone, or count another way.',
  denied: 'Motion was not allowed. Allow it for this page in the settings of the browser, then start again.',
  silent: 'This device says nothing of how it moves. Use a phone, or count another way.',
};

/** Rolls counted by the phone: it begins and stops with the rolling, says where it is not sure, and hands over to a tap. */
export const MotionCounter = (props: {
  readonly act: Act;
  readonly onLog: (act: Act) => void;
  readonly onCancel: () => void;
}) => {
  const [kept, setKept] = useKeptDraft<MotionPlace>('jorrit.motionPlace', z.enum(MOTION_PLACES));
  const place = kept ?? 'wrist';
  const { count, isListening, trouble, isMadeUp, start, madeUp, stop } = useMotionCount(place);
  const [byHand, setByHand] = useState<number | null>(null);
  const rolls = byHand ?? count?.rolls ?? 0;
  const doubts = count?.doubts ?? [];
  const isAbout = doubts.length > 0;
  const log = (): void => {
    stop();
    props.onLog(withCount(props.act, rolls, isAbout ? count?.spread : undefined));
  };
  const tap = (): void => {
    stop();
    setByHand(rolls + 1);
  };
  return (
    <PanelFrame
      title={count ? 'The phone counts' : 'Count by the phone’s motion'}
      label="By motion"
      back={count && !isMadeUp ? 'Discard, log nothing' : 'Back'}
      great={
        count && !isMadeUp
          ? { words: `Stop and log ${isAbout ? 'about ' : ''}${rolls}`, run: log, isDisabled: rolls < 1 }
          : { words: count ? 'Stop' : 'Start', run: count ? props.onCancel : start }
      }
      onCancel={props.onCancel}
    >
      {count ? (
        <>
          <p
            className="text-center text-[9rem] leading-none font-semibold"
            aria-live="off"
            data-testid="moved"
          >
            {isAbout && byHand === null ? '≈' : ''}
            {rolls}
          </p>
          <p role="status" className="text-center text-2xl text-chalk">
            {byHand !== null
              ? 'tapped from here on'
              : !isListening
                ? 'it has stopped listening'
                : count.isRolling
                  ? 'rolling'
                  : 'waiting for rolls'}
          </p>
          {isAbout && (
            <p className="text-center text-lg">
              About, for {doubts.map(d => MOTION_DOUBT_WORDS[d]).join(', and ')}.
            </p>
          )}
          <Button size="wet" className="min-h-24 !text-2xl" onClick={tap}>
            {byHand === null ? 'Go on by tapping: one more' : 'One more'}
          </Button>
          {isMadeUp && (
            <p className="text-lg">A made-up motion, four times as fast: nothing of it is saved.</p>
          )}
        </>
      ) : (
        <>
          <Choice
            label="Where the phone is"
            size="wet"
            value={place}
            options={MOTION_PLACES.map(value => ({ value, text: MOTION_PLACE_WORDS[value].name }))}
            onChoose={setKept}
          />
          <p className="text-lg">
            {MOTION_PLACE_WORDS[place].how} Leave this screen on: a locked phone counts nothing. The first
            count shows after three or four rolls.
          </p>
          {trouble && (
            <p role="alert" className="text-xl">
              {TROUBLE[trouble]}
            </p>
          )}
          <Button size="wet" look="bare" onClick={madeUp}>
            Try it with a made-up motion
          </Button>
        </>
      )}
      <p className="text-base text-chalk">
        Nothing of it leaves the phone or is kept. It cannot tell rolling from wiping the table, nor always
        from walking with a swinging arm. Tried on made-up motion only.
      </p>
    </PanelFrame>
  );
};
