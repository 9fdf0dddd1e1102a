/** The usual cautions of the work; those of a step that Jorrit has are shown there too. Not medical or legal advice. */
const CAUTIONS = [
  'Hot water scalds: gloves or a tool above what hands bear (45–50 °C, 113–122 °F), and pour away from people; children about 40 °C (104 °F), an adult pours.',
  'Wet floors and soap are slippery.',
  'Back, shoulders, wrists: counter height, change posture, rest each set, stop at pain or numbness.',
  'Needles and blades away from the other hand; count needles back in.',
  'Irons, steam, straighteners and hot glue: adults, dry hands, and no mains tools at the wet bench.',
  'Wool or soap can irritate skin: gloves, rinse. Raw fleece: wash hands, cover cuts, keep from food and kitchen tools. Carding makes dust: air the room.',
  'Small balls and beads choke: not for under-threes. What is sold follows local product-safety rules.',
  'Strain the water, so that no fibre goes down the drain.',
  'Not medical or legal advice: makers’ labels, local codes and qualified people come first.',
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
        Licences of what Jorrit is made of
      </a>
    </p>
  </section>
);
