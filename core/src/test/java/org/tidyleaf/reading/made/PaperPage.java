package org.tidyleaf.reading.made;

import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** A page as it comes out of a printer, a PDF: words at their places, wrapped and broken over pages. Lengths are in points. */
final class PaperPage implements AutoCloseable {

    private static final String FONTS = "/net/sf/jasperreports/fonts/dejavu/DejaVuSans";
    private static final float LINE = 15;
    private static final float LEFT = 57;
    private static final float RIGHT = 538;
    private static final float TOP = 780;
    private static final float BOTTOM = 57;
    private static final float STEP = 28;
    private static final float TAB = 36;
    private static final float VISIBLE = 1.2f;
    private static final float PADDING = 4;

    /** A column for a number, a letter or a box. */
    private static final float NARROW = 40;

    /** Between two columns. */
    private static final float GUTTER = 24;

    /** A head of the paper, above columns, has no more blocks. */
    private static final int LONGEST_HEAD = 4;

    private final PDDocument document = new PDDocument();
    private final PDFont plain;
    private final PDFont bold;
    private final boolean twoColumns;
    private final float size;
    private PDPageContentStream canvas;
    private float y;

    /** Where the column that is being written begins and ends, and where the columns of this page begin. */
    private float left = LEFT;

    private float right = RIGHT;
    private float top = TOP;

    /** Words of one look, or a part of them up to where the line breaks. */
    private record Run(String text, Page.Look look) {}

    private PaperPage(boolean twoColumns) throws IOException {
        this.twoColumns = twoColumns;
        size = twoColumns ? 9 : 11;
        plain = font("");
        bold = font("-Bold");
        turn();
    }

    /** @param twoColumns below the head of the paper */
    static byte[] save(Page page, boolean twoColumns) {
        try (PaperPage paper = new PaperPage(twoColumns)) {
            int head = headOf(page);
            for (int i = 0; i < page.blocks().size(); i++) {
                Page.Block block = page.blocks().get(i);
                if (i == head && twoColumns) {
                    paper.beginColumns();
                }
                if (block instanceof Page.Paragraph line) {
                    List<Page.Words> words = new ArrayList<>(line.words());
                    page.label(line).ifPresent(label -> words.add(0, new Page.Words(label + " ", Page.Look.PLAIN)));
                    paper.paragraph(words, line.indent() * STEP);
                } else if (block instanceof Page.Picture picture) {
                    paper.picture(picture);
                } else if (block instanceof Page.Table table) {
                    paper.table(table);
                }
            }
            // A paper that ends in its first column, or right at the top of its second, has but one.
            boolean first = paper.left == LEFT || paper.y > paper.top - 3 * LINE;
            return twoColumns && first && paper.document.getNumberOfPages() == 1 ? save(page, false) : paper.bytes();
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private PDFont font(String face) throws IOException {
        try (InputStream in = PaperPage.class.getResourceAsStream(FONTS + face + ".ttf")) {
            return PDType0Font.load(document, in);
        }
    }

    /** How many blocks stand above the first gap: the title, and whose paper it is. */
    private static int headOf(Page page) {
        int head = 0;
        while (head < page.blocks().size()
                && page.blocks().get(head) instanceof Page.Paragraph line
                && !line.text().isBlank()) {
            head++;
        }
        return head > LONGEST_HEAD ? 1 : head;
    }

    private void beginColumns() {
        top = y;
        right = (LEFT + RIGHT - GUTTER) / 2;
    }

    private void turn() throws IOException {
        if (twoColumns && right < RIGHT && canvas != null) {
            left = right + GUTTER;
            right = RIGHT;
            y = top;
            return;
        }
        if (twoColumns && canvas != null) {
            left = LEFT;
            right = (LEFT + RIGHT - GUTTER) / 2;
            top = TOP;
        }
        if (canvas != null) {
            canvas.close();
        }
        PDPage sheet = new PDPage(PDRectangle.A4);
        document.addPage(sheet);
        canvas = new PDPageContentStream(document, sheet);
        y = TOP;
    }

    private void need(float height) throws IOException {
        if (y - height < BOTTOM) {
            turn();
        }
    }

    private void paragraph(List<Page.Words> words, float indent) throws IOException {
        need(LINE);
        float x = left + indent;
        for (Page.Words run : words) {
            StringBuilder waiting = new StringBuilder();
            float from = x;
            for (String piece : run.text().split("(?<=[ \\t])|(?=\\t)")) {
                boolean breaks = x + width(piece.stripTrailing(), run.look()) > right && x > left + indent;
                if (piece.equals("\t") || breaks) {
                    write(new Run(waiting.toString(), run.look()), from, y);
                    waiting.setLength(0);
                    if (breaks) {
                        y -= LINE;
                        need(LINE);
                    }
                    x = breaks ? left + indent : stopBehind(x);
                    from = x;
                }
                if (!piece.equals("\t")) {
                    waiting.append(piece);
                    x += width(piece, run.look());
                }
            }
            write(new Run(waiting.toString(), run.look()), from, y);
        }
        y -= LINE;
    }

    /** The next stop; not one so near that the page does not show it. */
    private float stopBehind(float x) {
        return left + TAB * (float) (Math.floor((x + VISIBLE - left) / TAB) + 1);
    }

    private void picture(Page.Picture picture) throws IOException {
        need(Page.HIGH + LINE);
        canvas.drawImage(
                PDImageXObject.createFromByteArray(document, picture.png(), "picture"),
                left,
                y + size - Page.HIGH,
                Page.WIDE,
                Page.HIGH);
        y -= Page.HIGH + LINE;
    }

    private void table(Page.Table table) throws IOException {
        List<Float> widths = columns(table);
        for (List<Page.Cell> row : table.rows()) {
            List<List<Run>> cells = new ArrayList<>();
            for (int i = 0; i < row.size(); i++) {
                cells.add(wrapped(row.get(i), widths.get(i) - 2 * PADDING));
            }
            float height =
                    LINE * Math.max(1, cells.stream().mapToInt(List::size).max().orElse(1)) + PADDING;
            need(height);
            float edge = left;
            for (int i = 0; i < cells.size(); i++) {
                canvas.addRect(edge, y - height + LINE - PADDING, widths.get(i), height);
                canvas.stroke();
                for (int k = 0; k < cells.get(i).size(); k++) {
                    write(cells.get(i).get(k), edge + PADDING, y - k * LINE);
                }
                edge += widths.get(i);
            }
            y -= height;
        }
        y -= LINE;
    }

    /** Columns of little get what they need, the others share the rest. */
    private List<Float> columns(Page.Table table) {
        int columns = table.rows().stream().mapToInt(List::size).max().orElse(1);
        float[] needs = new float[columns];
        for (List<Page.Cell> row : table.rows()) {
            for (int i = 0; i < row.size(); i++) {
                for (Page.Words line : row.get(i).lines()) {
                    needs[i] = Math.max(needs[i], width(line.text(), line.look()) + 2 * PADDING + 1);
                }
            }
        }
        float rest = right - left;
        int wide = 0;
        for (float need : needs) {
            rest -= need < NARROW ? NARROW : 0;
            wide += need < NARROW ? 0 : 1;
        }
        boolean allNarrow = wide == 0;
        List<Float> widths = new ArrayList<>();
        for (float need : needs) {
            widths.add(need < NARROW && !allNarrow ? NARROW : allNarrow ? (right - left) / columns : rest / wide);
        }
        return widths;
    }

    private List<Run> wrapped(Page.Cell cell, float most) {
        List<Run> lines = new ArrayList<>();
        for (Page.Words words : cell.lines()) {
            String line = "";
            for (String word : words.text().split(" ")) {
                String longer = line.isEmpty() ? word : line + " " + word;
                if (!line.isEmpty() && width(longer, words.look()) > most) {
                    lines.add(new Run(line, words.look()));
                    longer = word;
                }
                line = longer;
            }
            lines.add(new Run(line, words.look()));
        }
        return lines;
    }

    private float width(String text, Page.Look look) {
        try {
            return (look == Page.Look.BOLD ? bold : plain).getStringWidth(text.replace('\t', ' ')) * size / 1000;
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
    }

    private void write(Run run, float x, float baseline) throws IOException {
        if (run.text().isEmpty()) {
            return;
        }
        float width = width(run.text(), run.look());
        if (run.look() == Page.Look.YELLOW) {
            canvas.setNonStrokingColor(Color.YELLOW);
            canvas.addRect(x, baseline - 3, width, LINE - 2);
            canvas.fill();
        }
        canvas.setNonStrokingColor(run.look() == Page.Look.RED ? new Color(0xc00000) : Color.BLACK);
        canvas.beginText();
        canvas.setFont(run.look() == Page.Look.BOLD ? bold : plain, size);
        canvas.newLineAtOffset(x, baseline);
        canvas.showText(run.text());
        canvas.endText();
        if (run.look() == Page.Look.UNDERLINED) {
            canvas.moveTo(x, baseline - 2);
            canvas.lineTo(x + width, baseline - 2);
            canvas.stroke();
        }
    }

    private byte[] bytes() throws IOException {
        canvas.close();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        document.save(out);
        return out.toByteArray();
    }

    @Override
    public void close() throws IOException {
        document.close();
    }
}
