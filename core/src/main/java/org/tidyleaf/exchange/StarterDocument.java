package org.tidyleaf.exchange;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Set;
import javax.imageio.ImageIO;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;

/**
 * A document to write a test in without this program: every type of question once, in plain typing habits, with remarks
 * that the reader sets aside. What is written like it reads without a snag.
 */
public final class StarterDocument {

    private static final int INDENT = 400;
    private static final int GAP = 200;

    private final PrintDocument document;

    private StarterDocument(PrintDocument document) {
        this.document = document;
    }

    /** Writes the document and leaves the stream open. */
    public static void write(Paper paper, OutputStream out) throws IOException {
        PrintDocument document = paper.document("Starter", out);
        new StarterDocument(document).all();
        document.finish();
    }

    private void all() throws IOException {
        paragraph("Title", 0, "Name your test here");
        remark("Lines like this one are for you. They are set aside when the document is read.");
        remark("Number your questions, letter their options, and say what is right behind Answer.");
        heading("Part A: Choices");
        question("1. Which bee lays the eggs? (1 point)", "A. the queen", "B. a worker", "C. a drone");
        answer("A");
        remark("Several letters make a question with several right options.");
        question("2. Which two are products of the hive? (2 points)", "A. wax", "B. silk", "C. propolis", "D. wool");
        answer("A, C");
        question("3. Drones have a sting. True / False (1 point)");
        answer("False");
        said("Explanation: Only females have one.");
        heading("Part B: Words and numbers");
        remark("A row of underscores is a gap. Behind a stroke stands another right spelling.");
        question("4. Bees store honey in the ________ . (1 point)");
        answer("comb / honeycomb");
        question("5. How many millimetres wide is a bee space? (1 point)");
        answer("8 mm (\u00b1 2)");
        question("6. Fill the gaps with words from the box. (2 points)");
        line("nectar     pollen     water");
        line("Bees make honey from ________ and feed their young with ________ .");
        answer("nectar, pollen");
        heading("Part C: Pairs, orders, tables");
        question("7. Match each tool with its use. (2 points)");
        line("1) smoker\ta) calms the bees");
        line("2) veil\tb) protects the face");
        answer("1-a, 2-b");
        question(
                "8. Put these steps into the right order. (2 points)",
                "A. Close the hive.",
                "B. Open the hive.",
                "C. Look inside.");
        answer("B, C, A");
        question("9. Tick the right box in each row. (2 points)");
        table(List.of(
                List.of("", "True", "False"),
                List.of("Wax melts in the sun.", "x", ""),
                List.of("Honey is a metal.", "", "x")));
        question("10. Complete the table. (2 points)");
        table(List.of(List.of("Length", "in mm"), List.of("3 cm", "____"), List.of("2 m", "____")));
        answer("(1) 30 (2) 2000");
        heading("Part D: Texts and pictures");
        question("11. Underline the tools. (2 points)");
        line("She took the smoker and the brush and went out to the hives.");
        answer("smoker, brush");
        question("12. Write the names of the parts A to C next to the letters. (3 points)");
        document.begin(new PrintDocument.Look("", INDENT, true, 0))
                .picture(hive())
                .end();
        line("A ________________   B ________________   C ________________");
        answer("A = roof, B = box, C = floor");
        question("13. Explain why a hive is opened on warm days only. (4 points)");
        said("Marking note: The brood must not get cold; bees are calmer.");
    }

    private void paragraph(String style, int indent, String text) {
        int before = style.equals("Heading1") ? GAP + GAP / 2 : 0;
        document.begin(new PrintDocument.Look(style, indent, true, before))
                .run(text, Set.of())
                .end();
    }

    private void heading(String text) {
        paragraph("Heading1", 0, text);
    }

    private void remark(String text) {
        document.begin(new PrintDocument.Look("", 0, true, GAP / 2))
                .run("Remark: " + text, Set.of(Emphasis.ITALIC))
                .end();
    }

    private void question(String stem, String... options) {
        document.begin(new PrintDocument.Look("", 0, true, GAP))
                .run(stem, Set.of())
                .end();
        for (String option : options) {
            line(option);
        }
    }

    private void line(String text) {
        document.begin(new PrintDocument.Look("", INDENT, true, 0))
                .run(text, Set.of())
                .end();
    }

    private void answer(String text) {
        said("Answer: " + text);
    }

    private void said(String text) {
        document.begin(new PrintDocument.Look("", INDENT, false, 0))
                .run(text, Set.of())
                .end();
    }

    private void table(List<List<String>> rows) {
        document.beginTable(rows.get(0).size());
        for (List<String> row : rows) {
            document.beginRow();
            for (String cell : row) {
                document.beginCell();
                document.begin(PrintDocument.Look.PLAIN).run(cell, Set.of()).end();
                document.endCell();
            }
            document.endRow();
        }
        document.endTable();
    }

    /** A hive with its three parts lettered, so that the document needs no file beside it. */
    private static Figure hive() throws IOException {
        BufferedImage image = new BufferedImage(360, 220, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setColor(Color.WHITE);
        pen.fillRect(0, 0, 360, 220);
        pen.setColor(Color.BLACK);
        pen.setStroke(new BasicStroke(2.5f));
        pen.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 18));
        int[][] boxes = {{60, 20, 180, 26}, {72, 52, 156, 100}, {60, 158, 180, 20}};
        for (int i = 0; i < boxes.length; i++) {
            int[] box = boxes[i];
            pen.drawRect(box[0], box[1], box[2], box[3]);
            int middle = box[1] + box[3] / 2;
            pen.drawLine(box[0] + box[2], middle, 290, middle);
            pen.drawString(String.valueOf((char) ('A' + i)), 300, middle + 6);
        }
        pen.dispose();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(image, "png", bytes);
        return new Figure("hive", "image/png", "A hive with its parts A, B and C", bytes.toByteArray());
    }
}
