package org.tidyleaf.intake.word;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.poi.hwpf.HWPFDocument;
import org.apache.poi.hwpf.converter.AbstractWordUtils;
import org.apache.poi.hwpf.usermodel.CharacterRun;
import org.apache.poi.hwpf.usermodel.Paragraph;
import org.apache.poi.hwpf.usermodel.Picture;
import org.apache.poi.hwpf.usermodel.Range;
import org.tidyleaf.intake.common.Colors;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.ListLabels;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;

/** Walks the stories of a .doc in print order: numbers as printed, tables by rows, pictures where they are anchored. */
final class DocWalker {

    /** Signs with a meaning of their own in the text of a .doc (MS-DOC 2.4.1, special characters). */
    private static final char FIELD_BEGIN = 0x13;

    private static final char FIELD_RESULT = 0x14;
    private static final char FIELD_END = 0x15;
    private static final char LINE_BREAK = 0x0B;

    private final HWPFDocument document;
    private final LineCollector lines;
    private final DocTextBoxes textBoxes;
    private final List<Figure> figures = new ArrayList<>();
    private final List<Note> notes = new ArrayList<>();
    private final Map<Integer, AbstractWordUtils.NumberingState> numbering = new HashMap<>();
    private int tables;
    private int fieldDepth;

    DocWalker(HWPFDocument document, LineCollector lines) {
        this.document = document;
        this.lines = lines;
        this.textBoxes = new DocTextBoxes(document);
    }

    List<Figure> figures() {
        return figures;
    }

    List<Note> notes() {
        return notes;
    }

    void walk(Range story, Place place) {
        int i = 0;
        while (i < story.numParagraphs()) {
            if (story.getParagraph(i).isInTable()) {
                i = table(story, i, place);
            } else {
                paragraph(story.getParagraph(i), place, Optional.empty());
                i++;
            }
            if (place == Place.BODY) {
                boxes(i < story.numParagraphs() ? story.getParagraph(i).getStartOffset() : Integer.MAX_VALUE);
            }
        }
    }

    /** The text boxes that are anchored above a place, below the paragraph that holds their anchor. */
    private void boxes(int place) {
        textBoxes.before(place).forEach(box -> walk(box, Place.TEXT_BOX));
    }

    /** Those whose anchor is lost; their text is not. */
    void remainingBoxes() {
        textBoxes.rest().forEach(box -> walk(box, Place.TEXT_BOX));
    }

    /**
     * Walks the rows of a table by their marks, which are all that tells where cells end: the library's own tables fail where one
     * begins right behind a page's end.
     *
     * @return the place behind the table
     */
    private int table(Range story, int first, Place place) {
        int number = tables++;
        int row = 0;
        int from = first;
        int i = first;
        while (i < story.numParagraphs() && story.getParagraph(i).isInTable()) {
            if (story.getParagraph(i).isTableRowEnd() && story.getParagraph(i).getTableLevel() == 1) {
                row(story, from, i, number, row++, place);
                from = i + 1;
            }
            i++;
        }
        row(story, from, i, number, row, place);
        return i;
    }

    private void row(Range story, int from, int to, int table, int row, Place place) {
        int columns = 0;
        for (int i = from; i < to; i++) {
            columns += endsCell(story.getParagraph(i)) ? 1 : 0;
        }
        int column = 0;
        for (int i = from; i < to; i++) {
            Cell cell = new Cell(table, row, Math.min(column, Math.max(0, columns - 1)), Math.max(1, columns));
            paragraph(story.getParagraph(i), place, Optional.of(cell));
            column += endsCell(story.getParagraph(i)) ? 1 : 0;
        }
    }

    /** Cells of tables within a cell end with the mark of a paragraph (MS-DOC 2.4.3). */
    private static boolean endsCell(Paragraph paragraph) {
        return paragraph.text().endsWith("\u0007") && paragraph.getTableLevel() == 1;
    }

    private void paragraph(Paragraph paragraph, Place place, Optional<Cell> cell) {
        int indent = Math.max(0, paragraph.getIndentFromLeft() + Math.min(0, paragraph.getFirstLineIndent()));
        boolean centered = paragraph.getJustification() == 1;
        String style = style(paragraph);
        // An empty header takes the look of whatever stands first in the text, its number too.
        boolean empty = place != Place.BODY && paragraph.text().isBlank();
        lines.label(empty ? "" : label(paragraph));
        fieldDepth = 0;
        boolean result = true;
        boolean objects = false;
        StringBuilder instruction = new StringBuilder();
        boolean hidden =
                paragraph.numCharacterRuns() > 0 && paragraph.getCharacterRun(0).isVanished() && place == Place.BODY;
        StringBuilder within = new StringBuilder();
        for (int i = 0; i < paragraph.numCharacterRuns(); i++) {
            CharacterRun run = paragraph.getCharacterRun(i);
            if (run.isMarkedDeleted()) {
                continue;
            }
            if (run.isVanished()
                    && !hidden
                    && place == Place.BODY
                    && fieldDepth == 0
                    && !run.text().isBlank()) {
                within.append(run.text().replaceAll("\\p{Cntrl}", ""));
                continue;
            }
            Optional<String> figure = picture(run);
            if (figure.isPresent()) {
                lines.figure(figure.get());
                objects |= run.isOle2() || run.isObj();
                continue;
            }
            if (run.isSymbol()) {
                lines.append(symbol(run), emphasis(run), "");
                continue;
            }
            Set<Emphasis> emphasis = emphasis(run);
            String color = color(run);
            StringBuilder text = new StringBuilder();
            for (char c : run.text().toCharArray()) {
                if (c == FIELD_BEGIN) {
                    fieldDepth++;
                    result = false;
                } else if (c == FIELD_RESULT) {
                    result = true;
                } else if (c == FIELD_END) {
                    fieldDepth--;
                    result = true;
                } else if (fieldDepth > 0 && !result) {
                    // What a field does is no text; what it shows follows.
                    instruction.append(c);
                } else if (c == LINE_BREAK || c == '\f') {
                    lines.append(text.toString(), emphasis, color);
                    text.setLength(0);
                    lines.end(indent, style, shown(run, place), cell, centered);
                } else {
                    text.append(printed(c));
                }
            }
            lines.append(text.toString(), emphasis, color);
        }
        lines.end(indent, style, hidden ? Place.HIDDEN : place, cell, centered);
        if (!within.toString().isBlank()) {
            lines.append(within.toString().strip(), Set.of(), "");
            lines.end(indent, style, Place.HIDDEN, cell, false);
        }
        if (objects || instruction.indexOf("EMBED Equation") >= 0) {
            notes.add(
                    new Note(
                            lines.lines().size(),
                            "formula-to-check",
                            "A formula stands here as a picture, as old documents keep them. Type it anew where it is to be read aloud or searched."));
        }
    }

    /** A sign of a symbol font, a tick or a box perhaps. */
    private static String symbol(CharacterRun run) {
        char sign = run.getSymbolCharacter();
        return ListLabels.bullet(String.valueOf(sign < 0x100 ? (char) (sign + 0xF000) : sign));
    }

    private static Place shown(CharacterRun run, Place place) {
        return run.isVanished() && place == Place.BODY ? Place.HIDDEN : place;
    }

    /** The sign as printed; nothing for anchors and marks of cells and paragraphs. */
    private static String printed(char c) {
        return switch (c) {
            case 0x1E -> "-";
            case 0x1F -> "";
            case '\t' -> "\t";
            case 0xA0 -> " ";
            default -> c < ' ' ? "" : String.valueOf(c);
        };
    }

    private String style(Paragraph paragraph) {
        var description = document.getStyleSheet().getStyleDescription(paragraph.getStyleIndex());
        return description == null || description.getName() == null ? "" : description.getName();
    }

    private String label(Paragraph paragraph) {
        if (!paragraph.isInList() || paragraph.getList() == null) {
            return "";
        }
        AbstractWordUtils.NumberingState state = numbering.computeIfAbsent(
                paragraph.getList().getLsid(), list -> new AbstractWordUtils.NumberingState());
        String text = AbstractWordUtils.getBulletText(state, paragraph.getList(), (char) paragraph.getIlvl());
        String label =
                text == null ? "" : text.replaceAll("[\\u0000-\\u001f]", " ").strip();
        return label.matches("[\\uE000-\\uF8FF]") ? ListLabels.bullet(label) : label;
    }

    private Optional<String> picture(CharacterRun run) {
        if (!document.getPicturesTable().hasPicture(run)) {
            return Optional.empty();
        }
        Picture picture = document.getPicturesTable().extractPicture(run, true);
        if (picture == null || picture.getContent() == null || picture.getContent().length == 0) {
            return Optional.empty();
        }
        String id = "f" + (figures.size() + 1);
        String alternative = picture.getDescription() == null ? "" : picture.getDescription();
        figures.add(new Figure(id, picture.getMimeType(), alternative, picture.getContent()));
        return Optional.of(id);
    }

    private static Set<Emphasis> emphasis(CharacterRun run) {
        Set<Emphasis> emphasis = EnumSet.noneOf(Emphasis.class);
        add(emphasis, Emphasis.BOLD, run.isBold());
        add(emphasis, Emphasis.ITALIC, run.isItalic());
        add(emphasis, Emphasis.UNDERLINE, run.getUnderlineCode() != 0);
        add(emphasis, Emphasis.STRIKE, run.isStrikeThrough());
        add(emphasis, Emphasis.HIGHLIGHT, run.isHighlighted());
        add(emphasis, Emphasis.SUPERSCRIPT, run.getSubSuperScriptIndex() == 1);
        add(emphasis, Emphasis.SUBSCRIPT, run.getSubSuperScriptIndex() == 2);
        add(emphasis, Emphasis.COLOR, !color(run).isEmpty());
        return emphasis;
    }

    private static void add(Set<Emphasis> emphasis, Emphasis one, boolean present) {
        if (present) {
            emphasis.add(one);
        }
    }

    /** The true colour, or that of the palette (MS-DOC 2.9.119, Ico); empty for automatic and black. */
    private static String color(CharacterRun run) {
        int blueGreenRed = run.getIco24();
        if (blueGreenRed > 0 && blueGreenRed <= 0xFFFFFF) {
            int red = blueGreenRed & 0xFF;
            int green = blueGreenRed >> 8 & 0xFF;
            int blue = blueGreenRed >> 16 & 0xFF;
            String hex = String.format(java.util.Locale.ROOT, "%02x%02x%02x", red, green, blue);
            return Colors.isColored(hex) ? hex : "";
        }
        String of = PALETTE[Math.max(0, Math.min(run.getColor(), PALETTE.length - 1))];
        return Colors.isColored(of) ? of : "";
    }

    private static final String[] PALETTE = {
        "", "", "0000ff", "00ffff", "00ff00", "ff00ff", "ff0000", "ffff00", "ffffff", "000080", "008080", "008000",
        "800080", "800000", "808000", "808080", "c0c0c0"
    };
}
