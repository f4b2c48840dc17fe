package org.tidyleaf.reading;

import java.util.List;
import java.util.Set;

/** What is asked in made-up tests: bees and measuring, with the traps that real wordings hold. */
final class MadeContent {

    record Choice(String stem, Set<Integer> right, String why, List<String> options) {
        Choice(String stem, int right, String why, String... options) {
            this(stem, Set.of(right), why, List.of(options));
        }

        Choice(String stem, Set<Integer> right, String why, String... options) {
            this(stem, right, why, List.of(options));
        }
    }

    record Statement(String text, boolean right, String why) {}

    /** A sentence with a gap ("_"), or a question, with the accepted answers. */
    record Asked(String text, String... accepted) {}

    record Number(String text, String value, String unit) {}

    record Pairs(String stem, List<String> lefts, List<String> rights, List<Integer> key) {}

    record Steps(String stem, List<String> items, List<Integer> key) {}

    private MadeContent() {}

    static final List<Choice> CHOICES = List.of(
            new Choice(
                    "Which bee lays nearly all the eggs of a colony?",
                    1,
                    "The queen alone is mated.",
                    "A worker",
                    "The queen",
                    "A drone",
                    "A guard bee"),
            new Choice("How many legs does a honey bee have?", 2, "Bees are insects.", "4", "5", "6", "8"),
            new Choice("Vitamin C is found in", 0, "Pollen holds a little of it.", "pollen", "wax", "smoke", "steel"),
            new Choice(
                    "A hive tool is used to",
                    3,
                    "Frames stick to the box.",
                    "feed the bees",
                    "catch a swarm",
                    "mark the queen",
                    "prise frames apart"),
            new Choice(
                    "What does the waggle dance tell the other bees?",
                    0,
                    "Direction and distance are danced.",
                    "where food is to be found",
                    "that the queen has died",
                    "that rain is coming",
                    "when to swarm"),
            new Choice(
                    "Which of these plants flowers first in the year?",
                    2,
                    "Snowdrops flower in February.",
                    "lime",
                    "ivy",
                    "snowdrop",
                    "heather"),
            new Choice(
                    "The smoker, lit by Mr. B. Tanner at 9.30 a.m., went out again. Why?",
                    1,
                    "Fuel burns only with air.",
                    "It was too full of honey.",
                    "It got too little air.",
                    "It stood in the sun.",
                    "The bees blew it out."),
            new Choice(
                    "In 1851 a hive with movable frames was described. What made it work?",
                    0,
                    "Bees leave a gap of 6 to 9 mm open.",
                    "the bee space",
                    "thicker walls",
                    "a glass lid",
                    "a larger entrance"),
            new Choice(
                    "Which is the best time of day to open a hive?",
                    1,
                    "The foragers are out then.",
                    "at dawn",
                    "around noon",
                    "at dusk",
                    "at night"),
            new Choice(
                    "What is propolis?",
                    3,
                    "Bees gather it from buds.",
                    "a kind of honey",
                    "a disease of the brood",
                    "the food of the queen",
                    "a resin that bees collect"),
            new Choice(
                    "Which reading is nearest to one millimetre?",
                    0,
                    "1.02 mm is 0.02 mm away.",
                    "1.02 mm",
                    "0.91 mm",
                    "1.2 mm",
                    "0.1 mm"),
            new Choice(
                    "A try square checks",
                    2,
                    "Its blade and stock meet at 90 degrees.",
                    "lengths",
                    "weights",
                    "right angles",
                    "temperatures"),
            new Choice(
                    "Which instrument has a vernier scale?",
                    1,
                    "The small scale slides along.",
                    "a tape measure",
                    "a caliper",
                    "a spirit level",
                    "a plumb line"),
            new Choice("What is 2.5 m in centimetres?", 3, "One metre is 100 cm.", "0.025", "2.5", "25", "250"),
            new Choice(
                    "The symbol \u00b0C stands for",
                    0,
                    "C is for Celsius.",
                    "degrees Celsius",
                    "cubic centimetres",
                    "circumference",
                    "candela"),
            new Choice(
                    "Which material expands least when it gets warm?",
                    2,
                    "Glass expands little.",
                    "aluminium",
                    "brass",
                    "glass",
                    "honey"),
            new Choice(
                    "A dial gauge moves through 3 small divisions of 0.01 mm. How far did the tip move?",
                    1,
                    "3 times 0.01 mm.",
                    "0.3 mm",
                    "0.03 mm",
                    "3 mm",
                    "0.003 mm"),
            new Choice(
                    "Which of the following is not a unit of length?",
                    3,
                    "The litre measures volume.",
                    "the metre",
                    "the inch",
                    "the foot",
                    "the litre"),
            new Choice(
                    "Plan A costs 12.50 and Plan B. costs 14.00. Which statement is true?",
                    0,
                    "The difference is 1.50.",
                    "Plan A is cheaper by 1.50.",
                    "Plan B is cheaper by 1.50.",
                    "Both cost the same.",
                    "Nothing can be said."),
            new Choice(
                    "When should a tape be read?",
                    2,
                    "Slack makes it read long.",
                    "when it sags",
                    "when it is wet",
                    "when it is taut",
                    "when it is rolled up"),
            new Choice(
                    "Who is to wear a veil?",
                    3,
                    "Stings in the face are the worst.",
                    "the beginner only",
                    "the visitor only",
                    "nobody",
                    "everyone near an open hive"),
            new Choice(
                    "What does a drone do in autumn?",
                    0,
                    "Workers drive the drones out.",
                    "It is driven out of the hive",
                    "It builds cells",
                    "It feeds the brood",
                    "It becomes a queen"));

    static final List<Choice> SEVERAL = List.of(
            new Choice(
                    "Which of these are made by bees? Choose all that apply.",
                    Set.of(0, 2),
                    "Pollen and nectar come from plants.",
                    "honey",
                    "nectar",
                    "wax",
                    "pollen"),
            new Choice(
                    "Which of these are units of mass? Select two.",
                    Set.of(1, 3),
                    "Metre and litre are not.",
                    "metre",
                    "gram",
                    "litre",
                    "tonne"),
            new Choice(
                    "Which tools measure angles? Mark all right answers.",
                    Set.of(0, 1),
                    "The others measure lengths.",
                    "protractor",
                    "bevel gauge",
                    "ruler",
                    "micrometer"),
            new Choice(
                    "Which are castes of the honey bee? (Choose three.)",
                    Set.of(0, 1, 3),
                    "Moths are guests.",
                    "queen",
                    "worker",
                    "moth",
                    "drone"));

    static final List<Statement> STATEMENTS = List.of(
            new Statement("A drone has no sting.", true, "Only females sting."),
            new Statement("Honey that is heated to 80 \u00b0C keeps all its enzymes.", false, "They are destroyed."),
            new Statement("A queen can live for several years.", true, "Up to five."),
            new Statement("Bees fly in heavy rain to collect more nectar.", false, "They stay at home."),
            new Statement("Worker bees are female.", true, "All of them are."),
            new Statement("A colony in winter forms a ball.", true, "It keeps the bees warm."),
            new Statement("A steel rule gets shorter when it is heated.", false, "It gets longer."),
            new Statement("One inch is exactly 25.4 mm.", true, "By definition, since 1959."),
            new Statement("A larger tolerance means more exact work.", false, "It means less exact work."),
            new Statement("A plumb line hangs vertically.", true, "Gravity sees to that."),
            new Statement("Parallax is avoided by looking from the side.", false, "One looks straight on."),
            new Statement("A litre of water weighs about one kilogram.", true, "At 4 degrees."),
            new Statement("Smoke makes bees more aggressive.", false, "It calms them."),
            new Statement("The bottom board belongs at the top of the hive.", false, "It is the floor."));

    static final List<Asked> GAPS = List.of(
            new Asked("A young bee is fed in its _ for six days.", "cell"),
            new Asked("The liquid that bees collect from flowers is called _.", "nectar"),
            new Asked("A board that is flat and straight on one side has a _ edge.", "face"),
            new Asked("Bees carry _ home on their hind legs.", "pollen"),
            new Asked("A hive is lit up by _, never by candles.", "daylight"),
            new Asked("The narrow pieces that hold the comb are called _.", "frames"),
            new Asked("A pair of _ is used to copy a length.", "dividers", "compasses"),
            new Asked("_ is the metal that a lodestone attracts.", "iron"));

    static final List<Asked> SHORT = List.of(
            new Asked("What is a male bee called?", "drone", "a drone"),
            new Asked("Name the box that stands above the brood box.", "super", "honey super"),
            new Asked("Which colour marks a queen born in 2023?", "red"),
            new Asked("What do we call the error that comes from looking at a scale from the side?", "parallax"),
            new Asked("Which tool shows whether a shelf is horizontal?", "spirit level", "level"),
            new Asked("Give one word for a group of bees that leaves the hive with its queen.", "swarm"));

    static final List<Number> NUMBERS = List.of(
            new Number("A frame holds 2.5 kg of honey. How much do 8 frames hold?", "20", "kg"),
            new Number("How many days does a queen need from egg to bee?", "16", "days"),
            new Number("A board is 1.2 m long and is cut into 4 equal pieces. How long is each?", "30", "cm"),
            new Number("Convert 3.5 km to metres.", "3500", "m"),
            new Number("What is the area of a lid of 50 cm by 40 cm?", "2000", "cm\u00b2"));

    static final List<Asked> ESSAYS = List.of(
            new Asked(
                    "Explain why a colony may swarm.",
                    "The hive is crowded and the queen ages, so the old queen leaves with half of the bees."),
            new Asked(
                    "Describe how you would prepare a hive for the winter.",
                    "Feed it, treat it against mites, narrow the entrance and protect it from the wind."),
            new Asked(
                    "Discuss the advantages and disadvantages of digital calipers.",
                    "They are quick and easy to read, but need batteries and suffer from dirt."),
            new Asked(
                    "Explain in your own words what a tolerance is.",
                    "It is how far a size may differ from the one drawn without harm to the work."));

    static final List<Pairs> PAIRS = List.of(
            new Pairs(
                    "Match each tool with its use.",
                    List.of("smoker", "hive tool", "bee brush", "extractor"),
                    List.of("spins the honey out", "calms the bees", "sweeps bees off a comb", "loosens frames"),
                    List.of(1, 3, 2, 0)),
            new Pairs(
                    "Match the quantities with their units.",
                    List.of("mass", "length", "time", "angle"),
                    List.of("degree", "second", "kilogram", "metre", "kelvin"),
                    List.of(2, 3, 1, 0)),
            new Pairs(
                    "Match the months with what is done in the apiary.",
                    List.of("April", "July", "October"),
                    List.of("narrow the entrance", "first inspection", "take the honey"),
                    List.of(1, 2, 0)));

    static final List<Steps> STEPS = List.of(
            new Steps(
                    "Put the steps of an inspection in the right order.",
                    List.of("Lift out a frame.", "Light the smoker.", "Open the lid.", "Close the hive again."),
                    List.of(1, 2, 0, 3)),
            new Steps(
                    "Put these lengths in order, the shortest first.",
                    List.of("a metre", "a millimetre", "a kilometre", "an inch"),
                    List.of(1, 3, 0, 2)),
            new Steps(
                    "Arrange the stages of a bee's life in the correct order.",
                    List.of("pupa", "egg", "adult bee", "larva"),
                    List.of(1, 3, 0, 2)));

    /** Several questions on one text. */
    record Passage(String title, List<String> paragraphs, List<Choice> choices, List<Asked> asked) {}

    static final List<Passage> PASSAGES = List.of(
            new Passage(
                    "A swarm in May",
                    List.of(
                            "On the second Sunday in May a dark cloud rose from the third hive and settled in the old pear tree by the gate. Ina fetched a skep, a ladder and a bed sheet.",
                            "She shook the branch once, and most of the bees fell into the skep. By the evening the rest had followed their queen, and the new colony moved into an empty hive at the far end of the orchard."),
                    List.of(
                            new Choice(
                                    "Where did the swarm settle?",
                                    1,
                                    "",
                                    "on the gate",
                                    "in a pear tree",
                                    "in an empty hive",
                                    "on a ladder"),
                            new Choice(
                                    "Why did the rest of the bees follow?",
                                    2,
                                    "",
                                    "It was evening.",
                                    "They were hungry.",
                                    "Their queen was there.",
                                    "Ina shook the branch again.")),
                    List.of(new Asked("What was the swarm caught in?", "skep", "a skep"))),
            new Passage(
                    "The first ruler",
                    List.of(
                            "The rod lay in the workshop for years before anybody noticed that its marks were not alike. Some were as wide as a thumb, others as wide as a palm.",
                            "Someone had measured with the body first and with numbers later. The rod is 52 cm long, about as much as a forearm with its hand."),
                    List.of(new Choice(
                            "What was odd about the rod?",
                            0,
                            "",
                            "Its marks differed.",
                            "It was too short.",
                            "It had no marks.",
                            "It was made of brass.")),
                    List.of(new Asked("What does the text compare the rod with?", "forearm", "a forearm"))));

    /** A text whose gaps ("_") are filled from a bank with words to spare. */
    record Bank(String stem, String text, List<String> words, List<Integer> key) {}

    static final List<Bank> BANKS = List.of(
            new Bank(
                    "Complete the text with words from the box.",
                    "The _ lays eggs, the _ gather nectar and the _ have no sting.",
                    List.of("drones", "queen", "wasps", "workers"),
                    List.of(1, 3, 0)),
            new Bank(
                    "Fill the gaps with words from the list.",
                    "A _ measures lengths and a _ measures angles.",
                    List.of("protractor", "scale", "ruler"),
                    List.of(2, 0)));

    /** A question in lettered parts. */
    record Parts(String lead, List<Asked> parts) {}

    static final List<Parts> PARTS = List.of(
            new Parts(
                    "A colony of 40 000 bees loses 1 000 bees a day.",
                    List.of(
                            new Asked(
                                    "Explain what the beekeeper will notice first.", "Fewer bees fly at the entrance."),
                            new Asked("Describe one thing that helps.", "The beekeeper can unite two colonies."))),
            new Parts(
                    "A board is marked with a gauge that is set to 12 mm.",
                    List.of(
                            new Asked(
                                    "Explain how the setting is checked.", "The setting is checked with a steel rule."),
                            new Asked("Describe how the line is drawn.", "The gauge is pushed along the edge."),
                            new Asked("Explain why a pencil is worse.", "A pencil line is wide and wanders."))));
}
