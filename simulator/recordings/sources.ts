/** What a recording stands for in a gym. */
export const soundKinds = ['hit', 'speech', 'music', 'band', 'note', 'step', 'tick', 'breath'] as const;
/**
 * `hit`: a blow on a skin or a box stands in for a glove; `band` is music with drums, `note` one note of one instrument, `tick` what
 * a rope does on the floor.
 */
export type SoundKind = (typeof soundKinds)[number];

/** What is trained on, what is looked at while the training is made better, and what is heard only to say how good it has become. */
export const uses = ['training', 'tuning', 'proof'] as const;
export type Use = (typeof uses)[number];

/** Recordings of one kind within one Debian package. They are fetched when they are needed and never shipped. */
export interface Source {
  kind: SoundKind;
  use: Use;
  package: string;
  licence: string;
  /** Paths within the package. */
  files: RegExp;
  /** Of a sound font only samples of these names. */
  samples?: RegExp;
  /** At most so many files (of a sound font: samples), spread evenly over the package. */
  most?: number;
}

const kit = (files: RegExp): RegExp => new RegExp(`drumkits/(?!The Black Pearl)[^/]*/(?:${files.source})`, files.flags);

/**
 * The kit “The Black Pearl” and the hand claps of “Gimme A Hand” are left out of the training: their maker also recorded the kits of
 * the proof.
 */
export const sources: readonly Source[] = [
  {
    kind: 'hit',
    use: 'training',
    package: 'hydrogen-drumkits',
    licence: 'GPL-2+, CC-BY-3.0, CC0',
    files: kit(
      /(?:Kick|BD_|bd1|bassdrum|Tom|TM|Djembe|Bongo|Cajon|Dununba1 Head|Kenkeni1 Head|Sangban1 Head|EE_Clap|EE_Conga|EE_Kick|clap_|VP (?:Kick|Tom)|HardHse_K|PowR_BD|Clap_1|Amp_Clap|SnareOff-)/,
    ),
  },
  {
    kind: 'hit',
    use: 'tuning',
    package: 'avldrums.lv2-soundfont',
    licence: 'CC-BY-SA-3.0, GPL-2+',
    files: /sounds\/sf2\/.*\.sf2$/,
    samples: /Kick|FloorTom|HandClap|\d\dTom/,
  },
  {
    kind: 'hit',
    use: 'tuning',
    package: 'fluid-soundfont-gm',
    licence: 'MIT',
    files: /FluidR3_GM\.sf2$/,
    samples:
      /^(?:Std Kick|Room Kick|Power Kick|Taiko Drum|Short Taiko|Orch Bass Drum|(?:Low|Mid|High) Conga|Closed Slap|Low Bongo|Clap|Tom (?:Hi|Med|Low|Floor))/,
  },
  {
    kind: 'hit',
    use: 'tuning',
    package: 'sonic-pi-samples',
    licence: 'CC0',
    files:
      /samples\/(?:bd_(?:ada|fat|gas|haus|klub|pure|sone|tek)|drum_heavy_kick|drum_bass|drum_tom|tabla_(?:ke|ghe|te|tas|dhec)|perc_(?:impact|door))/,
  },
  {
    kind: 'speech',
    use: 'training',
    package: 'asterisk-core-sounds-en-g722',
    licence: 'CC-BY-SA-3.0',
    files: /\.g722$/,
    most: 150,
  },
  { kind: 'speech', use: 'training', package: 'hedgewars-data', licence: 'GPL-2', files: /voices\/.*\.ogg$/, most: 200 },
  {
    kind: 'speech',
    use: 'training',
    package: 'klettres-data',
    licence: 'GPL-2+',
    files: /\/(?:da|de|en|hu|it|nl|es|uk)\/.*\.ogg$/,
    most: 160,
  },
  {
    kind: 'speech',
    use: 'tuning',
    package: 'asterisk-core-sounds-fr-g722',
    licence: 'CC-BY-SA-3.0',
    files: /\.g722$/,
    most: 120,
  },
  {
    kind: 'speech',
    use: 'tuning',
    package: 'asterisk-core-sounds-es-g722',
    licence: 'CC-BY-SA-3.0',
    files: /\.g722$/,
    most: 120,
  },
  {
    kind: 'speech',
    use: 'tuning',
    package: 'nexuiz-data',
    licence: 'GPL-2',
    files: /sound\/(?:announcer\/male|player\/.*(?:taunt|attack|teamshoot)).*\.(?:ogg|wav)$/,
    most: 60,
  },
  {
    kind: 'music',
    use: 'training',
    package: 'wesnoth-1.16-music',
    licence: 'GPL-2+',
    files:
      /(?:sad|love_theme|transience|wanderer|silvan_sanctuary|elf-land|revelation|return_to_wesnoth|nunc_dimittis|journeys_end|elvish-theme|knolls|underground|the_deep_path)\.ogg$/,
  },
  {
    kind: 'music',
    use: 'tuning',
    package: 'fillets-ng-data',
    licence: 'GPL-2+',
    files: /music\/rybky\d+\.ogg$/,
  },
  { kind: 'band', use: 'training', package: 'hedgewars-data', licence: 'GPL-2', files: /Data\/Music\/.*\.ogg$/ },
  { kind: 'band', use: 'tuning', package: 'asterisk-moh-opsound-g722', licence: 'CC-BY-SA-3.0', files: /moh\/.*\.g722$/ },
  { kind: 'step', use: 'training', package: 'minetest-data', licence: 'CC-BY-SA-3.0', files: /footstep.*\.ogg$/ },
  { kind: 'step', use: 'training', package: 'openarena-data', licence: 'GPL-2+', files: /footsteps\/.*\.wav$/ },
  { kind: 'step', use: 'tuning', package: 'flare-game', licence: 'CC-BY-SA-3.0', files: /steps\/step_.*\.ogg$/ },
  {
    kind: 'step',
    use: 'training',
    package: 'nexuiz-data',
    licence: 'GPL-2',
    files: /sound\/misc\/(?:metal)?footstep\d+\.(?:ogg|wav)$/,
  },
  {
    kind: 'tick',
    use: 'training',
    package: 'hydrogen-drumkits',
    licence: 'GPL-2+, CC-BY-3.0, CC0',
    files: kit(/(?:HiHatFoot|HiHatClosed|HH_|hihat-closed|Maraca|Stick|closehihat|pedalhihat|VP Hat . (?:Cl|Pd)|RimClick|stick)/),
  },
  {
    kind: 'tick',
    use: 'tuning',
    package: 'avldrums.lv2-soundfont',
    licence: 'CC-BY-SA-3.0, GPL-2+',
    files: /sounds\/sf2\/.*\.sf2$/,
    samples: /Maraca|HatPe|HatCl|HatClos/,
  },
  {
    kind: 'tick',
    use: 'tuning',
    package: 'fluid-soundfont-gm',
    licence: 'MIT',
    files: /FluidR3_GM\.sf2$/,
    samples: /^(?:Hi-Hat Foot| Sticks|Sticks|Closed Hat)/,
  },
  {
    kind: 'breath',
    use: 'training',
    package: 'hedgewars-data',
    licence: 'GPL-2',
    files: /Data\/Sounds\/(?:steam|parachute|throwrelease|hog_freeze)\.ogg$/,
  },
  {
    kind: 'breath',
    use: 'training',
    package: 'minetest-data',
    licence: 'CC-BY-SA-3.0',
    files: /(?:snow_footstep|sand_footstep|extinguish_flame).*\.ogg$/,
  },
  {
    kind: 'breath',
    use: 'tuning',
    package: 'openarena-data',
    licence: 'GPL-2+',
    files: /player\/sarge\/(?:gasp|drown|jump)\.wav$/,
  },
  {
    kind: 'breath',
    use: 'tuning',
    package: 'sonic-pi-samples',
    licence: 'CC0',
    files: /samples\/perc_(?:swash|swoosh)|samples\/vinyl_hiss/,
  },
  { kind: 'band', use: 'training', package: 'singularity-music', licence: 'CC-BY-SA-3.0', files: /music\/.*\.ogg$/ },
  {
    kind: 'band',
    use: 'training',
    package: 'fretsonfire-songs-sectoid',
    licence: 'CC-BY-SA-3.0',
    files: /\/(?:song|guitar)\.ogg$/,
  },
  {
    kind: 'step',
    use: 'training',
    package: 'freedroidrpg-data',
    licence: 'GPL-2+',
    files: /effects\/(?:tux_footstep|swing_then_nohit_\d)\.ogg$/,
  },
  { kind: 'step', use: 'training', package: 'megaglest-data', licence: 'CC-BY-SA-3.0', files: /\/(?!golem)\w*_walk\d*\.wav$/ },
  {
    kind: 'note',
    use: 'training',
    package: 'fluid-soundfont-gm',
    licence: 'MIT',
    files: /FluidR3_GM\.sf2$/,
    samples:
      /(?:Piano|Guitar|Gtr|Strat|Bass|Slap|Pop|harm|sitar|dulci|Glocken|Flute|Strings|Trump|Tromb|Sax|Clar|Vibra|Marim|Xylo|Harp|Banjo|Koto|Organ).*[A-Ga-g]#?\d/,
    most: 160,
  },
  {
    kind: 'hit',
    use: 'proof',
    package: 'freepats',
    licence: 'GPL-2+ with an exception for music',
    files: /Drum_000\/0(?:35|36|39|41|43|45|47|48|50|60|61|62|63|64|65|66)_.*\.pat$/,
  },
  {
    kind: 'hit',
    use: 'proof',
    package: 'lugaru-data',
    licence: 'CC-BY-SA-3.0',
    files: /Sounds\/(?:HeavyImpact|Thud|StaffBody|StaffHead)\.ogg$/,
  },
  {
    kind: 'speech',
    use: 'proof',
    package: 'asterisk-core-sounds-it-g722',
    licence: 'CC-BY-SA-3.0',
    files: /\.g722$/,
    most: 120,
  },
  { kind: 'music', use: 'proof', package: 'colobot-common-sounds', licence: 'GPL-3+', files: /music\/music0\d+\.ogg$/ },
  {
    kind: 'band',
    use: 'proof',
    package: 'supertux-data',
    licence: 'GPL-3+, CC-BY-SA',
    files: /music\/(?:forest|antarctic)\/.*\.ogg$/,
    most: 12,
  },
  { kind: 'step', use: 'proof', package: 'lugaru-data', licence: 'CC-BY-SA-3.0', files: /Sounds\/(?:FootStep\w+|Land\d?)\.ogg$/ },
  {
    kind: 'tick',
    use: 'proof',
    package: 'freepats',
    licence: 'GPL-2+ with an exception for music',
    files: /Drum_000\/0(?:31|42|44|69|70|82)_.*\.pat$/,
  },
  {
    kind: 'breath',
    use: 'proof',
    package: 'lugaru-data',
    licence: 'CC-BY-SA-3.0',
    files: /Sounds\/(?:\w*Whoosh|Skid|Wind)\.ogg$/,
  },
];

/** Packages that recordings for a use are in. */
export const packagesFor = (wanted: readonly Use[]): string[] =>
  [...new Set(sources.filter(({ use }) => wanted.includes(use)).map((source) => source.package))].sort();
