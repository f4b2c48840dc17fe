package org.tidyleaf.intake.odt;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.ListLabels;
import org.tidyleaf.intake.common.MathMlToLatex;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.w3c.dom.Text;

/** Walks the text of an OpenDocument and tells a collector what is printed. One per document, not shared. */
final class OdtWalker {

    /** Deeper nesting is no text that anybody wrote. */
    private static final int MAX_DEPTH = 200;

    private static final int MOST_SPACES = 400;
    private final LineCollector lines;
    private final OdtStyles styles;
    private final Map<String, byte[]> pictures;
    private final Map<String, String> formulas;
    private final List<Note> notes = new ArrayList<>();
    private final List<Figure> figures = new ArrayList<>();
    private final Map<String, int[]> counts = new HashMap<>();
    private final List<Runnable> after = new ArrayList<>();
    private Place place = Place.BODY;
    /** What is typed into the field of a form that has begun and not ended. */
    private Optional<StringBuilder> field = Optional.empty();

    private Optional<Cell> cell = Optional.empty();
    private int tables;
    private int depth;

    /**
     * @param pictures by their addresses in the archive
     * @param formulas likewise, as LaTeX
     */
    OdtWalker(LineCollector lines, OdtStyles styles, Map<String, byte[]> pictures, Map<String, String> formulas) {
        this.lines = lines;
        this.styles = styles;
        this.pictures = pictures;
        this.formulas = formulas;
    }

    List<Figure> figures() {
        return List.copyOf(figures);
    }

    void walk(Element parent, Place where) {
        Place outer = place;
        place = where;
        blocks(parent);
        place = outer;
    }

    List<Note> notes() {
        return notes;
    }

    private void blocks(Element parent) {
        if (++depth > MAX_DEPTH) {
            depth--;
            return;
        }
        for (Element child : Xml.children(parent)) {
            switch (child.getLocalName()) {
                case "p", "h" -> paragraph(child, "", Xml.attribute(child, "style-name"));
                case "list" -> list(child, Xml.attribute(child, "style-name"), 1, false);
                case "table" -> table(child);
                // Deleted text is kept apart in the file; what stands in the text is the accepted view.
                case "tracked-changes", "sequence-decls", "forms" -> {}
                default -> blocks(child);
            }
        }
        depth--;
    }

    /** @param sameStyle whether the list around it numbers by the same style */
    private void list(Element list, String style, int level, boolean sameStyle) {
        if (++depth > MAX_DEPTH) {
            depth--;
            return;
        }
        int[] count = counts.computeIfAbsent(style, s -> new int[11]);
        boolean goesOn = Xml.attribute(list, "continue-numbering").equals("true")
                || !Xml.attribute(list, "continue-list").isEmpty();
        // A list within a list of the same style begins anew only below the next number above it.
        if (!goesOn && (level == 1 || !sameStyle)) {
            restart(count, style, level);
        }
        for (Element item : Xml.children(list)) {
            item(item, style, level, count);
        }
        depth--;
    }

    private void restart(int[] count, String style, int from) {
        for (int level = from; level < count.length; level++) {
            count[level] = start(style, level) - 1;
        }
    }

    private void item(Element item, String style, int level, int[] count) {
        boolean labelled = item.getLocalName().equals("list-item");
        boolean first = true;
        for (Element child : Xml.children(item)) {
            switch (child.getLocalName()) {
                case "p", "h" -> {
                    String own = Xml.attribute(child, "style-name");
                    String listStyle = style.isEmpty() ? styles.listOf(own) : style;
                    String label = first && labelled ? next(listStyle, level, count, item) : "";
                    paragraph(child, label, own);
                    first = false;
                }
                case "list" -> {
                    String inner = Xml.attribute(child, "style-name");
                    boolean same = inner.isEmpty() || inner.equals(style);
                    list(child, same ? style : inner, level + 1, same);
                }
                default -> blocks(child);
            }
        }
    }

    private String next(String style, int level, int[] count, Element item) {
        if (level >= count.length) {
            return "";
        }
        String given = Xml.attribute(item, "start-value");
        count[level] = given.matches("\\d{1,6}") ? Integer.parseInt(given) : count[level] + 1;
        restart(count, style, level + 1);
        Optional<Element> definition = styles.listLevel(style, level);
        if (definition.isEmpty()) {
            return "";
        }
        Element e = definition.get();
        if (e.getLocalName().equals("list-level-style-bullet")) {
            return ListLabels.bullet(Xml.attribute(e, "bullet-char"));
        }
        String number = shown(e, style, level, count);
        return number.isEmpty() ? "" : Xml.attribute(e, "num-prefix") + number + Xml.attribute(e, "num-suffix");
    }

    private String shown(Element definition, String style, int level, int[] count) {
        String levels = Xml.attribute(definition, "display-levels");
        int from = levels.matches("\\d") ? Math.max(1, level - Integer.parseInt(levels) + 1) : level;
        StringBuilder text = new StringBuilder();
        for (int i = from; i <= level; i++) {
            String format = styles.listLevel(style, i)
                    .map(l -> Xml.attribute(l, "num-format"))
                    .orElse("1");
            text.append(text.length() > 0 ? "." : "").append(print(count[i], format));
        }
        return text.toString();
    }

    private static String print(int value, String format) {
        return switch (format) {
            case "a" -> ListLabels.print(value, "lowerLetter");
            case "A" -> ListLabels.print(value, "upperLetter");
            case "i" -> ListLabels.print(value, "lowerRoman");
            case "I" -> ListLabels.print(value, "upperRoman");
            case "" -> "";
            default -> String.valueOf(value);
        };
    }

    private int start(String style, int level) {
        String start = styles.listLevel(style, level)
                .map(l -> Xml.attribute(l, "start-value"))
                .orElse("");
        return start.matches("\\d{1,6}") ? Integer.parseInt(start) : 1;
    }

    private void table(Element table) {
        Optional<Cell> outer = cell;
        int number = tables++;
        int row = 0;
        List<Element> rows = named(table, "table-row");
        for (Element tableRow : rows) {
            List<Element> cells = named(tableRow, "table-cell");
            for (int column = 0; column < cells.size(); column++) {
                cell = Optional.of(new Cell(number, row, column, cells.size()));
                blocks(cells.get(column));
            }
            row++;
        }
        cell = outer;
    }

    private static List<Element> named(Element parent, String name) {
        List<Element> found = new ArrayList<>();
        for (Element child : Xml.children(parent)) {
            if (child.getLocalName().equals(name)) {
                found.add(child);
            } else if (Set.of("table-header-rows", "table-rows", "table-row-group")
                    .contains(child.getLocalName())) {
                found.addAll(named(child, name));
            }
        }
        return found;
    }

    private void paragraph(Element paragraph, String label, String style) {
        lines.label(label);
        Set<Emphasis> look = styles.emphasis(style, Set.of());
        inline(paragraph, style, look, false);
        endField(look, false);
        end(style);
        List<Runnable> waiting = List.copyOf(after);
        after.clear();
        waiting.forEach(Runnable::run);
    }

    private void end(String style) {
        int indent = OdtStyles.twips(styles.property(style, "paragraph-properties", "margin-left"))
                + OdtStyles.twips(styles.property(style, "paragraph-properties", "text-indent"));
        boolean centered =
                styles.property(style, "paragraph-properties", "text-align").equals("center");
        lines.end(indent, styles.name(style).toLowerCase(Locale.ROOT), place, cell, centered);
    }

    private void inline(Element parent, String paragraphStyle, Set<Emphasis> look, boolean hidden) {
        if (++depth > MAX_DEPTH) {
            depth--;
            return;
        }
        for (Node node = parent.getFirstChild(); node != null; node = node.getNextSibling()) {
            if (node instanceof Text text) {
                add(text.getData().replaceAll("[\\t\\n\\r ]+", " "), look, hidden);
            } else if (node instanceof Element element) {
                element(element, paragraphStyle, look, hidden);
            }
        }
        depth--;
    }

    private void endField(Set<Emphasis> look, boolean hidden) {
        Optional<StringBuilder> ended = field;
        field = Optional.empty();
        ended.map(StringBuilder::toString)
                .ifPresent(typed -> add(isBlank(typed) ? LineCollector.RULE : typed, look, hidden));
    }

    private void add(String text, Set<Emphasis> look, boolean hidden) {
        if (field.isPresent()) {
            field.get().append(text);
            return;
        }
        if (hidden) {
            String kept = text.strip();
            after.add(() -> {
                lines.append(kept, Set.of(), "");
                lines.end(0, "", Place.HIDDEN, cell, false);
            });
            return;
        }
        lines.append(text, look, "");
    }

    private void element(Element e, String paragraphStyle, Set<Emphasis> look, boolean hidden) {
        switch (e.getLocalName()) {
            case "span" -> {
                String style = Xml.attribute(e, "style-name");
                inline(e, paragraphStyle, styles.emphasis(style, look), hidden || styles.isHidden(style));
            }
            case "s" -> {
                String count = Xml.attribute(e, "c");
                int spaces = count.matches("\\d{1,4}") ? Math.min(MOST_SPACES, Integer.parseInt(count)) : 1;
                add(" ".repeat(spaces), look, hidden);
            }
            case "tab" -> add("\t", look, hidden);
            case "line-break" -> end(paragraphStyle);
            case "note" -> Xml.child(e, "note-body").ifPresent(body -> after.add(() -> walk(body, Place.FOOTNOTE)));
            case "fieldmark" -> OdtForms.mark(e).ifPresent(shown -> add(shown, look, hidden));
            case "fieldmark-start" -> field = OdtForms.isTextInput(e) ? Optional.of(new StringBuilder()) : field;
            case "fieldmark-end" -> endField(look, hidden);
            case "content-control" ->
                OdtForms.inPlaceOf(e)
                        .ifPresentOrElse(
                                shown -> add(shown, look, hidden), () -> inline(e, paragraphStyle, look, hidden));
            case "annotation" -> after.add(() -> walk(e, Place.COMMENT));
            case "frame" -> frame(e);
            case "g", "custom-shape", "line", "connector", "rect", "ellipse", "circle", "polygon", "polyline", "path" ->
                shapes(e);
            case "change", "change-start", "change-end", "bookmark", "annotation-end", "soft-page-break" -> {}
            default -> inline(e, paragraphStyle, look, hidden);
        }
    }

    /** Pictures among shapes are kept and what shapes say is text in a box; the shapes themselves are only spoken of. */
    private void shapes(Element drawing) {
        OdtShapes parts = OdtShapes.of(drawing);
        parts.frames().forEach(this::frame);
        parts.texts().forEach(text -> after.add(() -> walk(text, Place.TEXT_BOX)));
        if (parts.isDrawn()) {
            notes.add(new Note(lines.lines().size() + 1, "figure-absent", Pictures.SHAPES_LOST));
        }
    }

    private void frame(Element frame) {
        Optional<Element> box = Xml.child(frame, "text-box");
        if (box.isPresent()) {
            after.add(() -> walk(box.get(), Place.TEXT_BOX));
            return;
        }
        Optional<Element> object = Xml.child(frame, "object");
        Optional<String> formula = object.map(o -> Xml.attribute(o, "href").replaceFirst("^\\./", ""))
                .map(formulas::get)
                .or(() -> object.flatMap(o -> Xml.child(o, "math")).map(MathMlToLatex::convert));
        if (formula.isPresent()) {
            // The picture beside it shows the same for programs that know no formulas.
            lines.append("\\(" + formula.get() + "\\)", Set.of(), "");
            return;
        }
        Xml.child(frame, "image")
                .map(image -> Xml.attribute(image, "href").replaceFirst("^\\./", ""))
                .ifPresent(path -> {
                    byte[] bytes = pictures.get(path);
                    if (bytes != null) {
                        String alternative = Xml.child(frame, "desc")
                                .or(() -> Xml.child(frame, "title"))
                                .map(Element::getTextContent)
                                .orElse("");
                        String id = "f" + (figures.size() + 1);
                        figures.add(new Figure(id, Pictures.mediaType(path), alternative, bytes));
                        lines.figure(id);
                    }
                });
    }

    /** Spaces that don't break are spaces too. */
    private static boolean isBlank(String text) {
        return text.replace('\u00a0', ' ').isBlank();
    }
}
