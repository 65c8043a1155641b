/** Where a species is met from a kayak. */
export const habitats = ['fresh', 'estuary', 'coast', 'open'] as const;
export type Habitat = (typeof habitats)[number];
/** How a fish is built, as far as its outline goes: seen from the side, or from above when it lies flat. */
export const shapes = ['round', 'flat', 'ray'] as const;
export type Shape = (typeof shapes)[number];

/**
 * name; habitats; continents; usual length m, mass kg; largest likely length m, mass kg; teeth; mouth; what hurts the hand; seconds in air when released;
 * where it stands; depth from, to m; what it eats, that food's length from, to cm; rod from, to m; main line from, to kg; leader from, to kg;
 * lure from, to g; hooks; longest likely run m; note. All figures are usual practice, rounded; none is a record and none is a limit of the law.
 */
export type SpeciesRow = [
  name: string,
  habitats: Habitat[],
  continents: string,
  usual: [number, number],
  largest: [number, number],
  teeth: 'none' | 'fine' | 'sharp',
  mouth: 'small' | 'large',
  hazard: string,
  airS: number,
  stands: string,
  depth: [number, number],
  forage: string,
  forageCm: [number, number],
  rodM: [number, number],
  lineKg: [number, number],
  leaderKg: [number, number],
  lureG: [number, number],
  hooks: string,
  runM: number,
  note: string,
];

export const speciesRows = {
  pollack: ['pollack', ['coast', 'open'], 'Europe', [0.5, 1.5], [0.8, 6], 'fine', 'large', '', 20, 'over reef, kelp and wrecks, above the bottom', [5, 60], 'sandeels, small fish', [8, 18], [1.9, 2.4], [6, 10], [7, 12], [20, 120], '1/0 to 4/0', 40, 'A fish drawn up from deep water does not go back well: stop when you have what you keep.'],
  'sea-bass': ['sea bass', ['estuary', 'coast'], 'Europe', [0.5, 1.5], [0.8, 5], 'fine', 'large', 'spined fins and sharp gill plates', 20, 'in surf, over reef, on tide lines', [0.5, 20], 'crabs, sandeels, small fish', [4, 15], [2.1, 2.7], [5, 10], [5, 10], [10, 40], '1 to 3/0', 50, 'Slow to grow; seasons and bag limits are common.'],
  cod: ['cod', ['coast', 'open'], 'Europe, North America', [0.6, 2.5], [1.1, 14], 'fine', 'large', '', 20, 'near the bottom, over wrecks, sand and rough ground', [10, 80], 'crabs, worms, small fish', [5, 20], [1.9, 2.4], [9, 15], [12, 20], [60, 250], '3/0 to 6/0', 40, 'Often short of numbers: ask what holds this year.'],
  ling: ['ling', ['open'], 'Europe', [0.9, 5], [1.5, 18], 'sharp', 'large', 'teeth', 20, 'in wrecks and deep reef', [30, 120], 'fish', [15, 35], [1.8, 2.2], [14, 22], [25, 40], [120, 350], '6/0 to 8/0', 40, 'Drawn from deep it seldom lives: keep or stop.'],
  mackerel: ['mackerel', ['coast', 'open'], 'Europe, North America', [0.3, 0.35], [0.45, 0.9], 'fine', 'small', '', 15, 'in shoals near the surface', [0, 30], 'fry, sandeels', [2, 8], [1.8, 2.4], [3, 7], [5, 10], [5, 40], '6 to 1', 25, 'Bleed and chill at once.'],
  zander: ['zander', ['fresh'], 'Europe, Asia', [0.6, 2.5], [0.95, 8], 'sharp', 'large', 'fangs and a spined fin', 15, 'near the bottom, along drops and dam walls, up at dusk', [3, 20], 'small fish', [6, 14], [1.9, 2.4], [4, 8], [6, 12], [10, 40], '1/0 to 4/0', 25, 'From over ten metres it suffers on the way up.'],
  perch: ['perch', ['fresh', 'estuary'], 'Europe, Asia', [0.3, 0.5], [0.5, 2], 'fine', 'small', 'spined fin and gill plates', 20, 'along weed, jetties and drops, in shoals', [1, 12], 'fry, crayfish, insects', [3, 9], [1.8, 2.2], [2, 5], [3, 6], [3, 18], '6 to 1', 20, ''],
  pike: ['pike', ['fresh', 'estuary'], 'Europe, Asia, North America', [0.75, 4], [1.2, 15], 'sharp', 'large', 'teeth and gill rakers', 15, 'along weed edges and reeds', [0.5, 12], 'fish', [10, 30], [2, 2.5], [9, 18], [18, 40], [20, 110], '2/0 to 6/0', 40, 'Suffers in warm water: above 20 °C leave it alone.'],
  barbel: ['barbel', ['fresh'], 'Europe', [0.55, 2.5], [0.85, 7], 'none', 'small', 'first spine of the back fin', 15, 'on gravel in running water', [0.5, 4], 'larvae, snails, small fish', [1, 5], [2.7, 3.6], [4, 8], [4, 7], [10, 80], '10 to 4', 60, 'Hold it head upstream until it goes by itself.'],
  chub: ['chub', ['fresh'], 'Europe', [0.4, 1.2], [0.6, 3.5], 'none', 'large', '', 20, 'under branches and in slacks', [0.5, 3], 'anything that drops in', [1, 8], [1.9, 2.7], [2, 5], [3, 5], [3, 12], '10 to 4', 25, ''],
  trout: ['brown trout', ['fresh', 'estuary'], 'Europe, Asia', [0.4, 0.9], [0.7, 4.5], 'fine', 'small', '', 10, 'where current and cover meet; open in lakes', [0.3, 15], 'insects, shrimps, fry', [1, 8], [1.8, 2.7], [2, 4], [2, 4], [2, 15], '14 to 6', 40, 'Suffers in warm water: above 18 °C leave it alone.'],
  bonefish: ['bonefish', ['coast'], 'the tropics', [0.5, 1.8], [0.75, 5], 'none', 'small', '', 10, 'on flats with the tide', [0.2, 1.5], 'shrimps, crabs', [1, 4], [2.1, 2.7], [4, 8], [4, 7], [3, 10], '8 to 2', 150, 'Hold it in the water; sharks take a tired one.'],
  'sea-trout': ['sea trout', ['estuary', 'coast', 'fresh'], 'Europe', [0.45, 1.2], [0.8, 6], 'fine', 'small', '', 10, 'along the shore over weed and stones', [0.5, 6], 'sandeels, shrimps, fry', [2, 10], [2.4, 3], [3, 6], [4, 6], [8, 28], '8 to 1', 60, 'Closed for part of the year in many places.'],
  wrasse: ['ballan wrasse', ['coast'], 'Europe', [0.35, 0.9], [0.55, 3.5], 'fine', 'small', 'spined fin', 20, 'in kelp and broken rock', [2, 25], 'crabs, mussels', [1, 5], [2, 2.5], [7, 12], [9, 14], [10, 30], '2 to 2/0', 15, 'Old for its size; best returned.'],
  bream: ['black bream', ['coast'], 'Europe', [0.32, 0.7], [0.5, 2.5], 'fine', 'small', 'spined fin', 20, 'over rough ground', [5, 30], 'worms, small crabs', [1, 4], [1.9, 2.4], [3, 6], [4, 6], [20, 90], '6 to 1', 20, 'Guards its nest in spring.'],
  flounder: ['flounder', ['estuary', 'coast'], 'Europe', [0.32, 0.5], [0.48, 1.5], 'none', 'small', '', 30, 'on mud and sand', [0.5, 10], 'worms, shrimps', [2, 8], [2, 2.7], [3, 6], [4, 7], [20, 80], '6 to 1', 10, ''],
  plaice: ['plaice', ['coast'], 'Europe', [0.38, 0.6], [0.6, 2.5], 'none', 'small', '', 30, 'on sand and shell banks', [5, 40], 'worms, shellfish', [2, 8], [1.9, 2.4], [4, 8], [5, 8], [60, 200], '2 to 1/0', 10, ''],
  whiting: ['whiting', ['coast', 'open'], 'Europe', [0.33, 0.4], [0.5, 1.4], 'fine', 'large', '', 20, 'near the bottom, in the cold months', [5, 60], 'shrimps, small fish', [2, 10], [1.9, 2.4], [4, 8], [6, 10], [60, 200], '2 to 1/0', 10, ''],
  coalfish: ['coalfish', ['coast', 'open'], 'Europe, North America', [0.5, 1.5], [0.9, 8], 'fine', 'large', '', 20, 'over reef and wreck, in the tide', [5, 100], 'sandeels, krill, small fish', [3, 15], [1.9, 2.4], [7, 12], [9, 15], [30, 200], '1/0 to 4/0', 60, ''],
  tope: ['tope', ['coast', 'open'], 'Europe, Australia, South America', [1.2, 11], [1.8, 30], 'sharp', 'large', 'teeth, rough skin and a strong tail', 30, 'over sand and tide banks', [5, 50], 'fish', [15, 35], [1.9, 2.4], [12, 20], [50, 90], [90, 250], '6/0 to 9/0', 150, 'Protected in many waters: release beside the boat.'],
  ray: ['thornback ray', ['coast'], 'Europe, Africa', [0.6, 3], [0.95, 9], 'none', 'small', 'thorns on back and tail', 60, 'on sand and mud', [3, 40], 'crabs, flatfish', [3, 12], [1.9, 2.4], [9, 14], [14, 25], [90, 250], '3/0 to 5/0', 20, ''],
  'largemouth-bass': ['largemouth bass', ['fresh'], 'North America, Africa, Europe, Asia', [0.38, 1.1], [0.6, 4.5], 'fine', 'large', '', 20, 'along weed, wood and docks', [0.3, 8], 'sunfish, crayfish, frogs', [4, 15], [1.9, 2.3], [5, 14], [6, 14], [7, 40], '1 to 5/0', 15, 'Let it be on its nest in spring.'],
  'smallmouth-bass': ['smallmouth bass', ['fresh'], 'North America', [0.36, 0.9], [0.54, 2.8], 'fine', 'large', '', 20, 'over rock and gravel, in current', [1, 12], 'crayfish, small fish', [4, 10], [1.9, 2.2], [3, 6], [4, 6], [5, 20], '2 to 2/0', 20, ''],
  walleye: ['walleye', ['fresh'], 'North America', [0.5, 1.4], [0.8, 5.5], 'sharp', 'large', 'fangs and a spined fin', 15, 'on drops and bars, shallow at dusk', [2, 15], 'small fish', [6, 14], [1.8, 2.2], [3, 6], [4, 8], [5, 25], '4 to 1/0', 25, ''],
  muskellunge: ['muskellunge', ['fresh'], 'North America', [0.95, 7], [1.35, 20], 'sharp', 'large', 'teeth and gill rakers', 15, 'along weed edges and over open basins', [1, 12], 'fish', [15, 35], [2.4, 2.9], [25, 45], [45, 70], [60, 250], '5/0 to 8/0', 40, 'Suffers in warm water; fifteen seconds out of it at the most.'],
  'channel-catfish': ['channel catfish', ['fresh'], 'North America', [0.5, 1.6], [0.9, 9], 'none', 'large', 'spines of back and breast fins', 30, 'in holes and below dams', [1, 10], 'anything that smells', [3, 15], [2, 2.4], [6, 12], [9, 14], [20, 100], '1/0 to 5/0', 30, ''],
  'rainbow-trout': ['rainbow trout', ['fresh'], 'North America, Europe, Australia, South America', [0.4, 0.9], [0.7, 4.5], 'fine', 'small', '', 10, 'open in lakes, in the flow of rivers', [0.5, 15], 'insects, shrimps, fry', [1, 8], [1.8, 2.7], [2, 4], [2, 4], [2, 15], '14 to 6', 60, 'Suffers in warm water: above 20 °C leave it alone.'],
  'lake-trout': ['lake trout', ['fresh'], 'North America', [0.6, 2.5], [0.95, 10], 'fine', 'large', '', 15, 'deep in summer, shallow in the cold', [5, 50], 'fish', [8, 20], [1.9, 2.4], [5, 9], [6, 10], [15, 60], '2 to 2/0', 40, ''],
  'red-drum': ['red drum', ['estuary', 'coast'], 'North America', [0.65, 3], [1.1, 16], 'none', 'large', 'sharp gill plates', 20, 'on flats, in grass and along oyster bars', [0.3, 6], 'crabs, shrimps, small fish', [3, 15], [2, 2.3], [6, 14], [9, 18], [7, 40], '1/0 to 5/0', 100, 'The large ones spawn: many places ask for their release.'],
  'spotted-seatrout': ['spotted seatrout', ['estuary', 'coast'], 'North America', [0.42, 0.8], [0.7, 3.5], 'sharp', 'large', 'two fangs', 15, 'over grass, along channels', [0.5, 4], 'shrimps, small fish', [3, 10], [1.9, 2.2], [4, 7], [6, 9], [5, 20], '1 to 3/0', 20, 'A soft mouth: net it.'],
  snook: ['snook', ['estuary', 'coast'], 'the Americas', [0.65, 2.5], [1.05, 10], 'fine', 'large', 'razor gill plates', 20, 'under mangroves and bridges', [0.3, 5], 'shrimps, small fish', [4, 15], [2, 2.3], [7, 14], [14, 22], [7, 40], '1/0 to 5/0', 40, 'Closed for part of the year in many places.'],
  tarpon: ['tarpon', ['estuary', 'coast'], 'the Atlantic tropics', [1.1, 14], [1.9, 60], 'none', 'large', 'gill plates and its own weight', 10, 'in passes, channels and along beaches', [1, 10], 'crabs, mullet', [5, 20], [2.1, 2.6], [14, 28], [27, 45], [10, 60], '3/0 to 8/0', 250, 'Never lifted out of the water when large.'],
  permit: ['permit', ['coast'], 'the Atlantic tropics', [0.65, 5], [1, 16], 'none', 'small', '', 15, 'on flats and over wrecks', [0.5, 20], 'crabs', [2, 6], [2.1, 2.7], [6, 12], [8, 14], [5, 20], '1 to 3/0', 200, ''],
  barracuda: ['great barracuda', ['coast', 'open'], 'the tropics', [0.85, 4], [1.4, 20], 'sharp', 'large', 'teeth', 15, 'over reefs and flats, near the surface', [0.5, 25], 'fish', [10, 30], [2, 2.4], [9, 18], [20, 40], [20, 80], '2/0 to 6/0', 120, 'May carry a reef poison: ask before eating it.'],
  'bull-trevally': ['giant trevally', ['coast', 'open'], 'the Indian and Pacific Oceans', [0.7, 6], [1.3, 35], 'fine', 'large', 'scutes along the tail', 20, 'along reef edges and in passes', [1, 40], 'fish', [10, 30], [2.1, 2.5], [22, 45], [35, 70], [40, 160], '4/0 to 8/0', 150, ''],
  'dusky-flathead': ['dusky flathead', ['estuary'], 'Australia', [0.5, 1], [0.95, 7], 'fine', 'large', 'spines before the gills', 20, 'on sand and mud beside weed', [0.5, 8], 'prawns, small fish', [5, 12], [1.9, 2.2], [3, 6], [4, 8], [5, 25], '1/0 to 4/0', 20, 'The large ones are the spawners.'],
  barramundi: ['barramundi', ['estuary', 'fresh'], 'Australia, Asia', [0.7, 4], [1.15, 18], 'fine', 'large', 'razor gill plates', 15, 'round timber, in creek mouths on the run-out', [0.5, 8], 'prawns, mullet', [5, 20], [1.8, 2.1], [9, 18], [18, 27], [15, 60], '2/0 to 6/0', 60, 'Closed in the wet in many places; large crocodiles share its water.'],
  snapper: ['silver snapper', ['coast', 'open'], 'Australia and islands east of it', [0.42, 1.4], [0.8, 8], 'fine', 'small', 'spined fin and crushing jaws', 20, 'over reef, foul ground and sand', [3, 60], 'crabs, squid, small fish', [4, 15], [1.9, 2.3], [6, 12], [7, 14], [10, 80], '1/0 to 6/0', 60, ''],
  kingfish: ['yellowtail kingfish', ['coast', 'open'], 'the temperate Pacific', [0.8, 6], [1.3, 25], 'fine', 'large', '', 20, 'round reefs, marks and bait', [2, 60], 'fish, squid', [10, 30], [1.8, 2.2], [18, 37], [27, 45], [40, 200], '4/0 to 8/0', 120, 'It dives for the reef at once.'],
  'golden-dorado': ['golden dorado', ['fresh'], 'South America', [0.65, 4], [1, 15], 'sharp', 'large', 'teeth', 15, 'in fast water, along wood and rock', [0.5, 6], 'fish', [8, 25], [1.9, 2.4], [9, 18], [14, 30], [15, 60], '2/0 to 5/0', 60, 'Released nearly everywhere.'],
  'peacock-bass': ['peacock bass', ['fresh'], 'South America, North America, Asia', [0.45, 2], [0.8, 9], 'fine', 'large', '', 20, 'along flooded wood and lagoon edges', [0.5, 6], 'fish', [6, 20], [1.9, 2.2], [9, 25], [14, 27], [15, 90], '1/0 to 5/0', 30, ''],
  tigerfish: ['tigerfish', ['fresh'], 'Africa', [0.55, 2.5], [0.85, 8], 'sharp', 'large', 'interlocking teeth', 15, 'in current and along drops', [1, 10], 'fish', [6, 20], [1.9, 2.3], [7, 14], [14, 27], [15, 50], '1/0 to 4/0', 60, ''],
  'nile-perch': ['nile perch', ['fresh'], 'Africa', [0.9, 10], [1.6, 60], 'fine', 'large', 'spined fin', 20, 'over rock and along drops', [2, 25], 'fish', [10, 35], [2, 2.4], [18, 37], [30, 60], [40, 200], '4/0 to 8/0', 120, ''],
} satisfies Record<string, SpeciesRow>;
