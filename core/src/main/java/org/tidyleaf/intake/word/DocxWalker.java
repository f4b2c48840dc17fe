package org.tidyleaf.intake.word;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.OmmlToLatex;
import org.tidyleaf.intake.common.SymbolFonts;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Layout;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;
import org.w3c.dom.Element;

/** Walks the text of a .docx and tells a collector what is printed. One per document, not shared. */
final class DocxWalker {

    /** Deeper nesting is no text that anybody wrote. */
    private static final int MAX_DEPTH = 200;

    /** Charts and diagrams are stored as data, from which only the program that made them draws. */
    private static final String CHART =
            "A chart or diagram stands here that can't be taken over. Copy it and paste it as a picture.";

    private final LineCollector lines;
    private final DocxStyles styles;
    private final DocxNumbering numbering;
    private final DocxFigures figures;
    private final List<Note> notes = new ArrayList<>();
    private final List<Element> boxes = new ArrayList<>();
    private final StringBuilder hidden = new StringBuilder();

    /** Whether the paragraph has a ground of its own, on which white text shows. */
    private boolean shaded;

    private Place place = Place.BODY;

    /** The field of a form that has begun and not ended. */
    private Optional<Field> field = Optional.empty();

    private Optional<Cell> cell = Optional.empty();
    private boolean inHeadRow;
    private int tables;
    private int depth;

    /** @param listed whether its words to choose from have been printed, so that the chosen one is not */
    private record Field(StringBuilder typed, boolean listed) {}

    DocxWalker(LineCollector lines, DocxStyles styles, DocxNumbering numbering, DocxFigures figures) {
        this.lines = lines;
        this.styles = styles;
        this.numbering = numbering;
        this.figures = figures;
    }

    List<Figure> figures() {
        return List.copyOf(figures.used());
    }

    List<Note> notes() {
        return notes;
    }

    /** Walks all paragraphs and tables below an element; its lines get the place. */
    void walk(Element parent, Place where) {
        Place outer = place;
        place = where;
        blocks(parent);
        place = outer;
    }

    private void blocks(Element parent) {
        if (++depth > MAX_DEPTH) {
            depth--;
            return;
        }
        for (Element child : Xml.children(parent)) {
            switch (child.getLocalName()) {
                case "p" -> paragraph(child);
                case "tbl" -> table(child);
                case "sdt" -> control(child);
                // Deleted and moved-away text is not part of the accepted view; properties hold no text.
                case "del", "moveFrom", "sectPr", "pPr", "tblPr", "sdtPr" -> {}
                default -> blocks(child);
            }
        }
        depth--;
    }

    /** A content control around whole paragraphs. */
    private void control(Element control) {
        Optional<String> shown = DocxForms.inPlaceOf(control);
        if (shown.isPresent()) {
            lines.append(shown.get(), Set.of(), "");
            lines.end(0, "", place, cell, false);
        } else {
            blocks(control);
        }
    }

    private void table(Element table) {
        Optional<Cell> outer = cell;
        int number = tables++;
        int row = 0;
        for (Element tableRow : rows(table)) {
            List<Element> cells = cells(tableRow);
            int columns = cells.size();
            inHeadRow = isHeadRow(tableRow);
            for (int column = 0; column < columns; column++) {
                cell = Optional.of(new Cell(number, row, column, columns));
                blocks(cells.get(column));
            }
            row++;
        }
        cell = outer;
        inHeadRow = false;
    }

    /** A row that is printed again on each page heads the table (ECMA-376-1, 17.4.78 tblHeader). */
    private static boolean isHeadRow(Element row) {
        return named(row, "trPr").stream()
                .flatMap(properties -> named(properties, "tblHeader").stream())
                .anyMatch(head -> !List.of("0", "false", "off").contains(Xml.attribute(head, "val")));
    }

    private static List<Element> rows(Element table) {
        return named(table, "tr");
    }

    private static List<Element> cells(Element row) {
        return named(row, "tc");
    }

    /** Children of that name, also inside content controls and tracked insertions. */
    private static List<Element> named(Element parent, String name) {
        List<Element> found = new ArrayList<>();
        for (Element child : Xml.children(parent)) {
            if (child.getLocalName().equals(name)) {
                found.add(child);
            } else if (Set.of("sdt", "sdtContent", "ins", "customXml").contains(child.getLocalName())) {
                found.addAll(named(child, name));
            }
        }
        return found;
    }

    private void paragraph(Element paragraph) {
        Optional<Element> pPr = Xml.child(paragraph, "pPr");
        if (isDeleted(paragraph, pPr)) {
            return;
        }
        ParagraphFormat format = ParagraphFormat.of(pPr, styles, numbering);
        lines.label(format.label());
        shaded = pPr.flatMap(p -> Xml.child(p, "shd")).isPresent();
        runs(paragraph, format);
        endField(styles.format(format.style()));
        endLine(format);
        flushHidden(format);
        List<Element> anchored = List.copyOf(boxes);
        boxes.clear();
        for (Element box : anchored) {
            walk(box, place == Place.BODY ? Place.TEXT_BOX : place);
        }
    }

    /** Its mark and all that it holds are deleted or moved away (ECMA-376-1, 17.13.5.15): it has no number either. */
    private static boolean isDeleted(Element paragraph, Optional<Element> pPr) {
        boolean mark = pPr.flatMap(p -> Xml.child(p, "rPr"))
                .filter(rPr -> Xml.child(rPr, "del")
                        .or(() -> Xml.child(rPr, "moveFrom"))
                        .isPresent())
                .isPresent();
        return mark
                && Xml.children(paragraph).stream()
                        .map(Element::getLocalName)
                        .allMatch(name -> !List.of("r", "oMath", "oMathPara", "ins", "hyperlink", "sdt", "moveTo")
                                .contains(name));
    }

    private void endLine(ParagraphFormat format) {
        String style = inHeadRow ? Layout.TABLE_HEAD : styles.name(format.style());
        lines.end(format.indent(), style, place, cell, format.centered());
    }

    private void flushHidden(ParagraphFormat format) {
        if (!hidden.toString().isBlank()) {
            lines.append(hidden.toString().strip(), Set.of(), "");
            lines.end(format.indent(), styles.name(format.style()), Place.HIDDEN, cell, false);
        }
        hidden.setLength(0);
    }

    private void runs(Element parent, ParagraphFormat format) {
        if (++depth > MAX_DEPTH) {
            depth--;
            return;
        }
        for (Element child : Xml.children(parent)) {
            switch (child.getLocalName()) {
                case "r" -> run(child, format);
                case "oMath" -> formula(child, format);
                case "sdt" ->
                    DocxForms.inPlaceOf(child)
                            .ifPresentOrElse(
                                    shown -> text(shown, styles.format(format.style())), () -> runs(child, format));
                case "del", "moveFrom", "pPr", "sdtPr" -> {}
                default -> runs(child, format);
            }
        }
        depth--;
    }

    /** A formula is set as its first run is: teachers colour whole formulas to mark them. */
    private void formula(Element math, ParagraphFormat format) {
        DocxStyles.RunFormat look = styles.format(format.style());
        Optional<Element> rPr =
                Xml.below(math, "rPr").filter(e -> !Xml.children(e).isEmpty());
        Optional<Element> color = Xml.below(math, "color").map(e -> (Element) e.getParentNode());
        DocxStyles.RunFormat shown = color.or(() -> rPr).map(look::with).orElse(look);
        lines.append("\\(" + OmmlToLatex.convert(math) + "\\)", shown.emphasis(), shown.color());
    }

    private void run(Element run, ParagraphFormat format) {
        DocxStyles.RunFormat look = styles.format(format.style());
        Optional<Element> rPr = Xml.child(run, "rPr");
        String style = rPr.flatMap(r -> Xml.child(r, "rStyle"))
                .map(e -> Xml.attribute(e, "val"))
                .orElse("");
        if (!style.isEmpty()) {
            look = styles.formatOver(look, style);
        }
        DocxStyles.RunFormat shown = rPr.map(look::with).orElse(look);
        for (Element child : Xml.children(run)) {
            piece(child, shown, format);
        }
    }

    private void piece(Element child, DocxStyles.RunFormat look, ParagraphFormat format) {
        switch (child.getLocalName()) {
            case "t" -> text(SymbolFonts.read(font(child), child.getTextContent()), look);
            case "tab", "ptab" -> text("\t", look);
            case "br", "cr" -> endLine(format);
            case "noBreakHyphen" -> text("-", look);
            case "sym" -> text(symbol(Xml.attribute(child, "font"), Xml.attribute(child, "char")), look);
            case "fldChar" -> fieldSign(child, look);
            case "AlternateContent" ->
                Xml.child(child, "Choice")
                        .ifPresent(choice -> Xml.children(choice).forEach(c -> piece(c, look, format)));
            case "drawing", "pict", "object" -> drawing(child);
            default -> {
                // Instructions of fields, marks of notes, comments and page breaks print nothing here.
            }
        }
    }

    /** The beginning of a form's field has its data, its end nothing. */
    private void fieldSign(Element sign, DocxStyles.RunFormat look) {
        Xml.below(sign, "checkBox").ifPresent(box -> text(checkBox(box), look));
        Optional<String> choices = DocxForms.choices(sign);
        choices.ifPresent(words -> text(words, look));
        if (choices.isPresent() || DocxForms.isTextInput(sign)) {
            field = Optional.of(new Field(new StringBuilder(), choices.isPresent()));
        } else if (Xml.attribute(sign, "fldCharType").equals("end")) {
            endField(look);
        }
    }

    private void endField(DocxStyles.RunFormat look) {
        Optional<Field> ended = field;
        field = Optional.empty();
        ended.filter(entered -> !entered.listed())
                .map(entered -> entered.typed().toString())
                .ifPresent(typed -> text(isBlank(typed) ? LineCollector.RULE : typed, look));
    }

    private void text(String text, DocxStyles.RunFormat look) {
        if (field.isPresent()) {
            field.get().typed().append(text);
            return;
        }
        if (look.hidden() || look.isWhite() && cell.isEmpty() && place == Place.BODY && !shaded) {
            hidden.append(text);
            return;
        }
        lines.append(text.replace('\n', ' '), look.emphasis(), look.color());
    }

    private void drawing(Element drawing) {
        DocxShapes parts = DocxShapes.of(drawing);
        Optional<String> painted = parts.isDrawn() ? figures.paint(drawing) : Optional.empty();
        if (painted.isPresent()) {
            lines.figure(painted.get());
            return;
        }
        boxes.addAll(parts.texts());
        List<Element> pictures = parts.pictures().isEmpty() ? List.of(drawing) : parts.pictures();
        pictures.forEach(picture -> figures.use(picture, drawing).ifPresent(lines::figure));
        if (Xml.below(drawing, "chart").isPresent()
                || Xml.below(drawing, "relIds").isPresent()) {
            notes.add(new Note(lines.lines().size() + 1, "figure-absent", CHART));
        }
    }

    private static String symbol(String font, String hex) {
        try {
            return SymbolFonts.sign(font, Integer.parseInt(hex, 16) & 0xFF);
        } catch (NumberFormatException damaged) {
            // A symbol without a number prints nothing.
            return "";
        }
    }

    private static String font(Element text) {
        return Xml.child(text.getParentNode(), "rPr")
                .flatMap(rPr -> Xml.child(rPr, "rFonts"))
                .map(fonts -> Xml.attribute(fonts, "ascii"))
                .orElse("");
    }

    private static String checkBox(Element box) {
        Optional<Element> state = Xml.child(box, "checked").or(() -> Xml.child(box, "default"));
        boolean on = state.map(e -> !Xml.attribute(e, "val").equals("0")).orElse(false);
        return on ? "\u2611" : "\u2610";
    }

    /** What a paragraph's properties and style say about its place and label. */
    private record ParagraphFormat(String style, int indent, boolean centered, String label) {

        static ParagraphFormat of(Optional<Element> pPr, DocxStyles styles, DocxNumbering numbering) {
            String style = value(pPr, "pStyle").orElse("");
            Optional<Element> numPr = pPr.flatMap(p -> Xml.child(p, "numPr"));
            Optional<Element> inherited = styles.paragraphProperty(style, "numPr");
            String list =
                    value(numPr, "numId").or(() -> value(inherited, "numId")).orElse("0");
            int level = value(numPr, "ilvl")
                    .or(() -> value(inherited, "ilvl"))
                    .map(ParagraphFormat::number)
                    .orElseGet(() -> numbering.levelOfStyle(list, style));
            boolean numbered = !list.equals("0");
            String label = numbered ? numbering.next(list, level) : "";
            Optional<Element> ind = pPr.flatMap(p -> Xml.child(p, "ind"))
                    .or(() -> numbered ? numbering.indent(list, level) : Optional.empty())
                    .or(() -> styles.paragraphProperty(style, "ind"));
            boolean centered = value(pPr, "jc")
                    .or(() -> styles.paragraphProperty(style, "jc").map(e -> Xml.attribute(e, "val")))
                    .filter("center"::equals)
                    .isPresent();
            return new ParagraphFormat(style, ind.map(ParagraphFormat::indent).orElse(0), centered, label);
        }

        private static Optional<String> value(Optional<Element> parent, String name) {
            return parent.flatMap(p -> Xml.child(p, name)).map(e -> Xml.attribute(e, "val"));
        }

        private static int indent(Element ind) {
            String left =
                    Xml.attribute(ind, "left").isEmpty() ? Xml.attribute(ind, "start") : Xml.attribute(ind, "left");
            return number(left) - number(Xml.attribute(ind, "hanging")) + number(Xml.attribute(ind, "firstLine"));
        }

        private static int number(String text) {
            try {
                return text.isEmpty() ? 0 : Integer.parseInt(text);
            } catch (NumberFormatException damaged) {
                // Lengths with units of the strict form only shift the indent's guess.
                return 0;
            }
        }
    }

    /** Spaces that don't break are spaces too. */
    private static boolean isBlank(String text) {
        return text.replace('\u00a0', ' ').isBlank();
    }
}
