package org.tidyleaf.web.demo;

import java.util.List;

/** The made-up tests of Wrenfield Evening College, as messy as tests are. */
final class DemoDocuments {

    private static final String RULE = "______________________";

    private DemoDocuments() {}

    /** Bold keys under typed letters, a picture, two sections, keys missing here and there. */
    static byte[] hiveInspection() {
        return new DocxWriter()
                .paragraph("Wrenfield Evening College \u00b7 Keeping Bees")
                .centered("**Hive inspection, spring test**")
                .paragraph("Name: " + RULE + "\tDate: " + RULE)
                .empty()
                .paragraph("**Part A: The colony** (2 points each)")
                .paragraph("//Circle the letter of the best answer.//")
                .empty()
                .paragraph("1. Which bee in the colony lays nearly all of the eggs?")
                .indented("A. the oldest worker")
                .indented("**B. the queen**")
                .indented("C. the drones")
                .indented("D. any bee that is fed enough")
                .paragraph("2. How many days pass from the egg to the sealed cell of a worker?")
                .indented("A. about 5")
                .indented("**B. about 9**")
                .indented("C. about 16")
                .paragraph("3. What do you find in the cells next to the brood on a healthy frame in May?")
                .indented("**A. a band of pollen**")
                .indented("B. sealed honey only")
                .indented("C. nothing at all")
                .indented("D. drone cells")
                .paragraph(
                        "4. A frame shows scattered sealed cells with sunken, perforated caps. What do you do first?")
                .indented("A. Feed thin syrup")
                .indented("B. Add a second super")
                .indented("**C. Open a cell and look at the brood**")
                .indented("D. None of the above")
                .paragraph("5. Which TWO signs tell you that a colony may soon swarm?")
                .indented("**A. queen cells along the edge of the comb**")
                .indented("B. much pollen coming in")
                .indented("**C. the brood nest filled with nectar**")
                .indented("D. drones at the entrance")
                .empty()
                .paragraph("**Part B: Reading the frames**")
                .paragraph("//Look at each picture. Points are printed after each question.//")
                .empty()
                .paragraph("6. What does the patch in the middle of this frame show? (3 points)")
                .picture(
                        DemoPictures.frame(),
                        420,
                        230,
                        "A frame of comb with an oval patch of closed cells in the middle")
                .indented("A. **sealed brood**")
                .indented("B. pollen")
                .indented("C. empty comb")
                .paragraph(
                        "7. The picture shows a hive from the side. Which letter stands beside the brood box? (1 point)")
                .picture(DemoPictures.hive(), 420, 300, "A hive of four parts, from the top lettered P, Q, R and S")
                .indented("A. P")
                .indented("B. Q")
                .indented("C. R")
                .indented("D. S")
                .paragraph("8. A queen that lays only " + "____________" + " eggs was probably not mated. (2 points)")
                .paragraph("Answer: drone / unfertilised / unfertilized")
                .paragraph("9. A colony without a queen can raise a new one from any egg. True / False (1 point)")
                .paragraph("Answer: False")
                .paragraph("10. Where does a colony store pollen? (2 points)")
                .indented("A. next to the brood")
                .indented("B. in the outermost super")
                .indented("C. under the crown board")
                .paragraph("11. Explain why you should not open a hive at 8 \u00b0C. (4 points)")
                .paragraph(RULE + RULE + RULE)
                .paragraph(RULE + RULE + RULE)
                .paragraph("Model answer: The brood chills within minutes and the bees can't keep it warm.")
                .empty()
                .paragraph("Turn over when you are told to")
                .bytes();
    }

    /** Automatic numbers and letters, stars for keys, a number with its tolerance, pictures of a tape. */
    static byte[] tapeMeasure() {
        return new DocxWriter()
                .centered("**Measuring for Makers: reading a tape**")
                .paragraph("Each question is worth 1 point. No phones!")
                .empty()
                .numbered(0, "What length does the arrow show?")
                .picture(DemoPictures.tape(23), 460, 130, "A tape measure; the arrow stands three marks behind the 2")
                .numbered(1, "2.0 cm")
                .numbered(1, "2.3 cm *")
                .numbered(1, "3.2 cm")
                .numbered(1, "23 cm")
                .numbered(0, "How many millimetres are there in one centimetre?")
                .numbered(1, "5")
                .numbered(1, "10 *")
                .numbered(1, "12")
                .numbered(1, "100")
                .numbered(0, "A shelf is 1.2 m long. You saw off a third of it. How much is left?")
                .numbered(1, "40 cm")
                .numbered(1, "60 cm")
                .numbered(1, "80 cm *")
                .numbered(1, "90 cm")
                .numbered(0, "Why does the hook at the end of a tape move a little?")
                .numbered(1, "It is worn out")
                .numbered(1, "It makes up for its own thickness *")
                .numbered(1, "So that it can be replaced")
                .numbered(0, "Which of these is the best way to mark a length on wood?")
                .numbered(1, "a thick felt pen")
                .numbered(1, "a sharp pencil and a small V *")
                .numbered(1, "a thumbnail")
                .numbered(
                        0,
                        "A board is 2400 mm long. How many pieces of 450 mm can you cut from it, if each cut takes 3 mm?")
                .paragraph("Answer: 5")
                .numbered(0, "The diagonal of a square frame with sides of 500 mm is about how long?")
                .paragraph("Answer: 707 mm (\u00b1 2)")
                .numbered(0, "A carpenter\u2019s square tells you whether two edges meet at a right angle.")
                .numbered(1, "True *")
                .numbered(1, "False")
                .numbered(0, "Match each tool with what it is for.")
                .paragraph("1) try square\ta) marks a line along an edge")
                .paragraph("2) marking gauge\tb) tells whether a corner is right")
                .paragraph("3) spirit level\tc) tells whether a shelf is level")
                .paragraph("Answer: 1-b, 2-a, 3-c")
                .numbered(0, "Put these steps for sawing a board into the right order.")
                .paragraph("A. Saw on the waste side.")
                .paragraph("B. Measure the length.")
                .paragraph("C. Mark the line with a square.")
                .paragraph("Answer: B, C, A")
                .numbered(0, "Underline the three tools in the text.")
                .paragraph("She laid the board on the bench, took the **square** and a **pencil** from the drawer and "
                        + "cut along the line with a **saw**. Then she swept the floor.")
                .numbered(0, "Complete the table.")
                .table(List.of(
                        List.of("Length", "in mm", "in cm"),
                        List.of("thickness of a board", "18", ""),
                        List.of("width of a shelf", "", "24"),
                        List.of("height of a table", "720", "")))
                .paragraph("Answer: 1.8; 240; 72")
                .numbered(0, "Name the parts of the hive stand in the drawing, P to R, from the top.")
                .picture(DemoPictures.hive(), 420, 300, "A drawing of boxes, from the top lettered P, Q, R and S")
                .paragraph("P __________   Q __________   R __________")
                .paragraph("Answer: P = roof, Q = super, R = queen excluder")
                .bytes();
    }

    /** One after the other without any numbers' help: a short check, letters on one line, answers below. */
    static byte[] swarming() {
        return new DocxWriter()
                .paragraph("**Swarming, a short check**")
                .paragraph("Keeping Bees, evening group \u2013 write the letter in the margin")
                .empty()
                .paragraph("1) When do most swarms leave the hive?")
                .paragraph("a) in May and June\tb) in August\tc) in the first frost")
                .paragraph("Answer: a")
                .paragraph("2) Who leaves with the first swarm?")
                .paragraph("a) the old queen\tb) the young queen\tc) only drones")
                .paragraph("Answer: a")
                .paragraph("3) What do bees take with them when they swarm?")
                .paragraph("a) brood\tb) honey in their stomachs\tc) pollen on their legs")
                .paragraph("Answer: b")
                .paragraph("4) A swarm that hangs in a tree is usually in a fighting mood.")
                .paragraph("a) True\tb) False")
                .paragraph("Answer: b")
                .paragraph("5) What is the first thing you need when you want to take a swarm?")
                .paragraph("a) a box that lets air in\tb) smoke, and a lot of it\tc) sugar syrup")
                .paragraph("Answer: a")
                .paragraph("6) Describe how you would take a swarm that hangs two metres above the ground.")
                .bytes();
    }
}
