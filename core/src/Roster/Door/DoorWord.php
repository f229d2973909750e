<?php

declare(strict_types=1);

namespace FreshHuddle\Core\Roster\Door;

use Random\Randomizer;

/**
 * The two short words students type to come into a class: what it is like, and a thing. Both are easy to say and to
 * spell, none is unkind to anybody, and no two pairs look alike when written in one.
 */
final readonly class DoorWord
{
    private const KINDS = <<<'WORDS'
        amber apple autumn baby basic best blue bold brave brief bright brisk broad bronze busy calm careful
        cheery chief clean clear cloud coal cool coral cosy cotton cream crisp curly daily dapper daring dawn
        deep denim dotted double downy dry eager early earth east easy eight ember even evening extra fair
        famous fancy far fast felt fern few fine firm first five flat floral flying fond forest four free
        fresh frosty full fuzzy garden gentle giant ginger glad glass gleaming glossy gold golden good grand
        grass great green grey half handy happy hazel helpful hidden high hilly hollow honest honey humble icy
        indigo inky iron island ivory ivy jade jazzy jolly jumbo keen kind known lake last late leafy lemon
        level light lilac lime linen little lively local lofty long loyal lucky lunar magic main maple marble
        mauve meadow mellow merry metal midday mighty mild milky mint misty mobile modern morning moss mossy
        mountain narrow navy near nearby neat new next nifty nimble nine noble noon north northern nutty oak
        oaken ocean olive one only open orange outer oval own pale paper pastel patient peach peachy pearl
        pebble peppy perfect pine pink plucky plum plush pocket polar polite pond poppy posh prime proper
        proud pure purple quick quiet quilted rainy ranch rapid rare raven ready real red regal rich ripe
        rising river robin rocky rose rosy round royal ruby rural russet rusty safe sage sailing sandy satin
        scarlet sea second seven shady sharp sheer shiny shy silent silk silky silver six sky sleek sleepy
        smiling smooth snappy snowy snug soft solar solid sonic south southern spare sparkly speedy spicy
        spotted spring square stable starry steady steel still stone stormy strong summer sunlit sunny super
        sure sweet swift tabby tan tangy tawny teal ten tender third three tidal tidy tiny toasty top topaz
        tropic true trusty tulip turquoise twelve twilight twin two upper useful valley vast velvet violet
        vivid walnut warm water wavy wax west western wheat whole wide willow windy winter wise wispy wooden
        woolly woven zany zesty zippy
        WORDS;

    private const THINGS = <<<'WORDS'
        acorn album anchor anorak apple apricot apron arch arrow artist ash atlas attic badge bagel baker ball
        balloon bamboo banana band banjo bank banner barge barn basin basket beach beacon bead beaker beam
        bean beaver bee bell belt bench berry bike birch bird biscuit blanket bloom boat bonnet book boot
        bottle boulder bow bowl box branch bread breeze brick bridge brook broom brush bucket bud bugle bulb
        bun bus bush butter button cabin cable cactus cake camel camera candle canoe canvas canyon cape caper
        card carpet carrot cart castle cave cedar cello chair chalk channel cheese cherry chess chime chimney
        circle circus city clay cliff clip cloak clock cloth cloud clover club coach coast coat cocoa coin
        collar comet compass cone cook copper corn corner cottage couch cove crane crate crayon creek cress
        crew cricket crown cup curtain cushion cymbal daisy dance date deck deer den desert desk dinghy dish
        diver dock dolphin dome donkey door dove dragon drawer dream dress drum duck dune duvet eagle easel
        echo egg elbow elm engine fair falcon fan farm feast feather fence fern ferry festival fiddle field
        fig film finch fish flag flame flask fleece flint flock floor flour flower flute foal fog folder
        forest fork fort fountain fox frame friend frog fruit galaxy garage garden gate giraffe glade globe
        glove goat goose grape grove guitar gull hall hammer hammock hamper harbour hare harp hat hawk hay
        hazel hedge helmet hen herb heron hill hive holly honey hood hoop horn horse hotel hour house hut
        igloo ink inlet iris island ivy jacket jam jar jelly jersey jewel jigsaw jug juggler juice jumper
        kayak kettle key kiln king kite kitten knot koala ladder lagoon lake lamb lamp lane lantern larch lark
        laurel lawn leaf ledge lemon letter library lid lily lime linen lion lizard llama lobby lock locket
        loft log lolly loom lotus lunch lute magnet magpie mallet mango map maple marble market marsh mast mat
        meadow medal melon mermaid mill mint mirror mitten moat model mole moon moose moss moth motor mountain
        mouse muffin mug museum mushroom napkin needle nest net newt noodle notch note nut oak oar oasis oat
        ocean olive onion opal orange orbit orchard orchid organ otter oval oven owl paddle page paint palace
        palm pancake panda panel pansy paper parade park parrot parsley path patio peach peak peanut pear
        pearl pebble pedal pelican pen pencil penguin pepper petal piano picnic pier pigeon pillow pilot pine
        pipe pitcher planet plank plate plaza plough plum pocket poem polo pond pony pool poplar poppy porch
        post poster potato pottery prairie prism prize puddle puffin pump pumpkin puppet purse puzzle quail
        quarry quay queen quill quilt rabbit raft rail rain rainbow ramp ranch raven reed reef ribbon rice
        ring ripple river road robin robot rocket roof rook room root rope rose route rudder ruler saddle sail
        sailor salad salt sand sandal satchel saucer scarf school scooter screen sea seal seed shadow shed
        sheep shelf shell shield ship shirt shoe shore signal silk singer skate sketch ski sky sledge sleeve
        slope snail snow soap sock sofa song soup spade spark sparrow sphere spice spinach spiral spoon spring
        spruce squash squirrel stable stage stair stamp star starling station statue stem step stick stone
        stool stork story stove straw stream street string studio sugar suitcase sun sunset surf swallow swan
        sweater swing table tablet tail tailor talent taxi tea teapot tent thimble thistle thread throne thyme
        ticket tiger tile timber toast toffee tomato torch towel tower town toy track tractor trail train tram
        tray treasure tree triangle trumpet trunk tuba tulip tunic tunnel turban turnip turtle umbrella valley
        van vase veil velvet vessel village vine violin voyage wagon wall walnut waltz wand water wave weaver
        whale wharf wheat wheel whistle willow windmill window wing winter wolf wood wool wren yacht yard yarn
        yogurt zebra zipper
        WORDS;

    private function __construct(public string $kind, public string $thing)
    {
    }

    public static function draw(Randomizer $random): self
    {
        [$kinds, $things] = self::words();

        return new self(
            array_keys($kinds)[$random->getInt(0, \count($kinds) - 1)],
            array_keys($things)[$random->getInt(0, \count($things) - 1)],
        );
    }

    /**
     * As somebody may have typed it: capitals, accents of a helpful keyboard, dashes, no gap at all.
     *
     * @return self|null null where it is none of ours
     *
     * Complexity: O(length)
     */
    public static function read(string $typed): ?self
    {
        [$kinds, $things] = self::words();
        $typed = mb_substr($typed, 0, 60);
        $plain = \Normalizer::normalize($typed, \Normalizer::FORM_KD);
        $letters = (string) preg_replace('/[^a-z]/', '', mb_strtolower(\is_string($plain) ? $plain : $typed));
        for ($at = 2; $at < \strlen($letters) - 1; ++$at) {
            [$kind, $thing] = [substr($letters, 0, $at), substr($letters, $at)];
            if (isset($kinds[$kind], $things[$thing])) {
                return new self($kind, $thing);
            }
        }

        return null;
    }

    public function text(): string
    {
        return $this->kind.' '.$this->thing;
    }

    /**
     * @return array{array<string, int>, array<string, int>} the words there are, as keys
     */
    public static function words(): array
    {
        /** @var array{array<string, int>, array<string, int>}|null $words worked out once */
        static $words = null;
        $words ??= [array_flip(self::split(self::KINDS)), array_flip(self::split(self::THINGS))];

        return $words;
    }

    /**
     * @return list<string>
     */
    private static function split(string $words): array
    {
        $split = preg_split('/\s+/', trim($words));

        return false === $split ? [] : $split;
    }
}
