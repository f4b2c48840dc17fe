package org.tidyleaf.reading.made;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javax.imageio.ImageIO;

/** A page that a made-up test is typed on, line by line, to be saved in one of several formats. */
final class Page {

    enum Look {
        PLAIN,
        BOLD,
        RED,
        YELLOW,
        UNDERLINED
    }

    record Words(String text, Look look) {}

    /** An automatic list: how it counts ("1" or "a") and what it prints behind that. */
    record Numbering(char first, String behind) {

        String label(int place) {
            return (first == '1' ? String.valueOf(place) : String.valueOf((char) (first + place - 1))) + behind;
        }
    }

    /** What stands on the page, one below the other. */
    sealed interface Block {}

    /**
     * @param indent steps from the margin
     * @param list the automatic list it is an item of, 0 for none
     * @param place which item, from 1
     */
    record Paragraph(List<Words> words, int indent, int list, int place) implements Block {

        String text() {
            return words.stream().map(Words::text).collect(Collectors.joining());
        }
    }

    record Table(List<List<Cell>> rows) implements Block {}

    /** @param lines one below the other, each of one look */
    record Cell(List<Words> lines) {

        static Cell of(String text) {
            return of(text, Look.PLAIN);
        }

        static Cell of(String text, Look look) {
            return new Cell(text.lines().map(line -> new Words(line, look)).toList());
        }

        String text() {
            return lines.stream().map(Words::text).collect(Collectors.joining("\n"));
        }
    }

    /** @param number from 1 on; each looks otherwise */
    record Picture(int number) implements Block {

        /** A white field with a line across, as PNG. */
        byte[] png() {
            BufferedImage image = new BufferedImage(WIDE, HIGH, BufferedImage.TYPE_INT_RGB);
            Graphics2D graphics = image.createGraphics();
            graphics.setColor(Color.WHITE);
            graphics.fillRect(0, 0, WIDE, HIGH);
            graphics.setColor(Color.DARK_GRAY);
            graphics.drawLine(0, number % HIGH, WIDE, HIGH - number % HIGH);
            graphics.dispose();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            try {
                ImageIO.write(image, "png", out);
            } catch (IOException impossible) {
                throw new UncheckedIOException(impossible);
            }
            return out.toByteArray();
        }
    }

    /** In points, a picture's sides. */
    static final int WIDE = 120;

    static final int HIGH = 80;

    private static final int WIDTH = 72;

    private final List<Block> blocks = new ArrayList<>();
    private final List<Numbering> lists = new ArrayList<>();
    private final List<Integer> items = new ArrayList<>();
    private int pictures;

    void line(String words) {
        line(List.of(new Words(words, Look.PLAIN)), 0, 0);
    }

    void line(String words, Look look) {
        line(List.of(new Words(words, look)), 0, 0);
    }

    /** A line of words, indented by so many steps, as an item of an automatic list (0: of none). */
    void line(List<Words> words, int indent, int list) {
        int place = list == 0 ? 0 : items.get(list - 1) + 1;
        if (list > 0) {
            items.set(list - 1, place);
        }
        blocks.add(new Paragraph(words, indent, list, place));
    }

    void blank() {
        line("");
    }

    void table(List<List<String>> rows) {
        cells(rows.stream().map(row -> row.stream().map(Cell::of).toList()).toList());
    }

    void cells(List<List<Cell>> rows) {
        blocks.add(new Table(rows));
    }

    void picture() {
        blocks.add(new Picture(++pictures));
    }

    /** A new automatic list; to be named by lines that are its items. */
    int list(Numbering numbering) {
        lists.add(numbering);
        items.add(0);
        return lists.size();
    }

    List<Block> blocks() {
        return blocks;
    }

    List<Numbering> lists() {
        return lists;
    }

    /** What a line's automatic list prints before it. */
    Optional<String> label(Paragraph line) {
        return line.list() == 0
                ? Optional.empty()
                : Optional.of(lists.get(line.list() - 1).label(line.place()));
    }

    /** Whether plain text loses nothing of it but bold headings. */
    boolean isPlain() {
        return blocks.stream()
                .allMatch(block -> block instanceof Paragraph line
                        && line.list() == 0
                        && line.words().stream()
                                .allMatch(words -> words.look() == Look.PLAIN || words.look() == Look.BOLD));
    }

    String text() {
        StringBuilder text = new StringBuilder();
        for (Block block : blocks) {
            if (block instanceof Paragraph line) {
                text.append("    ".repeat(line.indent()))
                        .append(label(line).map(label -> label + " ").orElse(""))
                        .append(line.text())
                        .append('\n');
            } else if (block instanceof Picture picture) {
                text.append("<picture ").append(picture.number()).append(">\n");
            } else if (block instanceof Table table) {
                table.rows()
                        .forEach(row -> text.append(row.stream().map(Cell::text).collect(Collectors.joining(" | ")))
                                .append('\n'));
            }
        }
        return text.toString();
    }

    /**
     * The page as a file of a format, named by its usual ending.
     *
     * @param text what a file of plain text holds, for every ending that is none of a format here
     * @param twoColumns on paper
     */
    byte[] saved(String ending, String text, boolean twoColumns) {
        return switch (ending) {
            case "docx" -> WordPage.save(this);
            case "odt" -> OpenPage.save(this);
            case "rtf" -> RichPage.save(this);
            case "html" -> WebPage.save(this);
            case "pdf" -> PaperPage.save(this, twoColumns);
            default -> text.getBytes(StandardCharsets.UTF_8);
        };
    }

    /** The same page without a look, as if nobody had marked anything with it. */
    Page without(Look look) {
        Page plain = new Page();
        plain.lists.addAll(lists);
        for (Block block : blocks) {
            plain.blocks.add(
                    block instanceof Paragraph line
                            ? new Paragraph(plain(line.words(), look), line.indent(), line.list(), line.place())
                            : block);
        }
        return plain;
    }

    private static List<Words> plain(List<Words> words, Look look) {
        return words.stream()
                .map(part -> part.look() == look ? new Words(part.text(), Look.PLAIN) : part)
                .toList();
    }

    /** The text in lines of at most 72 signs, as some programs save it; tabs keep their line whole. */
    String wrapped() {
        StringBuilder wrapped = new StringBuilder();
        for (String line : text().split("\n")) {
            String rest = line;
            while (rest.length() > WIDTH && rest.indexOf('\t') < 0 && rest.lastIndexOf(' ', WIDTH) > 0) {
                int at = rest.lastIndexOf(' ', WIDTH);
                wrapped.append(rest, 0, at).append('\n');
                rest = rest.substring(at + 1);
            }
            wrapped.append(rest).append('\n');
        }
        return wrapped.toString();
    }
}
