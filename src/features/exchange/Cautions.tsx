/** The usual cautions of the work; those of a step that Jorrit has are shown there too. Not medical or legal advice. */
const CAUTIONS = [
  'Hot water scalds: use gloves or a tool above what bare hands take (45–50 °C, 113–122 °F), and pour away from people. Children: about 40 °C (104 °F), an adult pours.',
  'Wet floors and soap are slippery.',
  'Back, shoulders, wrists: work at counter height, change posture, rest after each set, stop if it hurts or goes numb.',
  'Keep needles and blades away from your other hand; count your needles when you are done.',
  'Irons, steam, hair straighteners and hot glue: adults only, dry hands, and nothing plugged in at the wet bench.',
  'Wool or soap can irritate skin: wear gloves, rinse. Raw fleece: wash your hands, cover cuts, keep it away from food and kitchen tools. Carding makes dust: air the room.',
  'Small balls and beads can choke: not for under-threes. What you sell must follow local product-safety rules.',
  'Strain the water, so that no fibre goes down the drain.',
  'This is not medical or legal advice: makers’ labels, local rules and qualified people come first.',
];

/** All cautions in one place. */
export const Cautions = () => (
  <section aria-labelledby="cautions">
    <h2 id="cautions" className="border-t-2 border-ink pt-1 text-lg font-semibold">
      Cautions
    </h2>
    <ul className="list-disc pl-5 text-sm">
      {CAUTIONS.map(text => (
        <li key={text}>{text}</li>
      ))}
    </ul>
    <p className="mt-2 text-sm">
      <a href="/licences.txt" className="underline">
        Licences of the software in Jorrit
      </a>
    </p>
  </section>
);
