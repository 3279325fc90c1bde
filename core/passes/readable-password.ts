/** Short words that are told apart by ear and spelt in one way, none of which is another one's beginning. */
const words = (
  'acorn agate amber anvil apple apron arbor arrow ash aspen awning badge bagel bamboo barge basil basket bead bell bench birch ' +
  'biscuit boat bobbin bolt border bottle bramble brass brick bridge broom brush bucket button cabin cable candle canoe canvas ' +
  'carrot cedar chalk cherry chisel cinder clay cliff cloak clover coal cobble comet copper coral cotton crane crayon cricket crystal daisy ' +
  'dapple delta desk dial dome dory drum dune eagle easel echo elder elm ember fabric falcon feather fence fern fiddle fig flannel flask flint ' +
  'flute foam forest fossil fox garden garlic ginger glass glove gravel grove gull hammer hazel heather hedge helmet heron hinge honey ' +
  'hoop icicle indigo iris island ivory ivy jacket jasmine jetty jigsaw juniper kayak kettle kiln kite ladder lagoon lamp lantern larch ' +
  'lemon lichen lilac linen lobster locket lumber magnet mallet mango maple marble meadow melon mirror mitten moss muffin mustard needle nettle ' +
  'nutmeg oak oasis olive onion orbit orchard otter oyster paddle paper parsley pebble pencil pepper pigment pillow pine planet plaster ' +
  'pocket poppy pottery prism puffin pulley pumpkin quarry quill quilt rabbit radish rafter raven ribbon ridge river robin rocket rope rudder ' +
  'saddle saffron salmon sandal satchel scarf shell shovel shuttle silver sketch slate sparrow spindle spiral spruce squash staple ' +
  'stencil stitch stool stove straw sunset swallow tailor tangle teapot thimble thistle thread thunder timber tinder toast toffee topaz torch tower ' +
  'treacle trellis tulip tunnel turnip twine valley velvet violet wagon walnut water weaver whistle wicker willow window winter wool ' +
  'yarn zephyr'
).split(' ');

/** So many words a made-up password has. */
const count = 4;

/**
 * A password that can be read out over a telephone: four words of some 250, more than 31 bits. Enough for a pass, whose link has to
 * be known as well, and at which tries are limited.
 *
 * @param below a random whole number from 0 up to, but without, the one given
 */
export const readablePassword = (below: (end: number) => number): string =>
  Array.from({ length: count }, () => words[below(words.length)]).join('-');
