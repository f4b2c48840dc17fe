package org.tidyleaf.intake.text;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Document.OutputSettings;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Entities.EscapeMode;
import org.jsoup.nodes.Node;
import org.jsoup.nodes.TextNode;
import org.tidyleaf.intake.IntakeException;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.MathMlToLatex;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.intake.common.Xml;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;

/** Walks one page from its top to its end. One per call. */
final class HtmlWalker {

    private static final Set<String> BLOCKS =
            Set.of(("address article aside blockquote body caption dd details div dl dt"
                            + " fieldset figcaption figure footer form h1 h2 h3 h4 h5 h6 header hr legend li main nav ol p pre section"
                            + " summary table tbody td tfoot th thead tr ul")
                    .split(" "));

    /** Fields that show nothing to write into. */
    private static final Set<String> SILENT_FIELDS = Set.of("hidden", "submit", "button", "reset", "image", "file");

    private static final Pattern INSIDE = Pattern.compile("(?s)data:(image/[\\w.+-]+)(;[^,]{0,100})?,(.*)");
    private static final Pattern LENGTH = Pattern.compile("(\\d{1,4}(?:\\.\\d+)?)(pt|px|in|cm|mm|em|rem)?");

    /** Twentieths of a point in a unit of CSS; an em of a usual face is 11 points. */
    private static final Map<String, Double> TWIPS =
            Map.of("pt", 20.0, "px", 15.0, "in", 1440.0, "cm", 567.0, "mm", 56.7, "em", 220.0, "rem", 220.0);

    /** "Choose …", "– please select –": what a list to choose from shows first offers nothing. */
    private static final Pattern PLACEHOLDER = Pattern.compile(
            "[-\u2013\u2014\u2026.\\s]*(?:please\\s|bitte\\s)?(?:choose|select|pick|w\u00e4hle|w\u00e4hlen|ausw\u00e4hlen|auswahl|chois|s\u00e9lection|elig|elij|seleccion|scegli|selezion|escolh|selecion|kies|selecteer|wybierz)",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

    private static final int LIST_INDENT = 360;
    private static final int WIDEST_TABLE = 200;
    private final LineCollector lines = new LineCollector();
    private final List<Figure> figures = new ArrayList<>();
    private final List<Note> notes = new ArrayList<>();
    private Optional<Cell> cell = Optional.empty();
    private Place place = Place.BODY;
    private String pendingLabel = "";
    private boolean open;
    /** Whether the open line ends with a space: another is not shown. */
    private boolean endsBlank;

    private int tables;
    private int indent;
    /** How many quotations stand around the open line. */
    private int quotations;

    void walk(Element body) {
        blocks(body, HtmlLook.PLAIN.with(body));
        end("");
    }

    List<Line> lines() {
        return lines.lines();
    }

    List<Figure> figures() {
        return List.copyOf(figures);
    }

    List<Note> notes() {
        return List.copyOf(notes);
    }

    private void blocks(Element parent, HtmlLook look) {
        for (Node node : parent.childNodes()) {
            if (node instanceof TextNode text) {
                written(text, parent, look);
            } else if (node instanceof Element element) {
                element(element, look.with(element));
            }
        }
    }

    private void written(TextNode text, Element parent, HtmlLook look) {
        if (parent.closest("pre") == null) {
            text(text.getWholeText().replaceAll("[\\s&&[^\u00a0]]+", " "), look);
            return;
        }
        String[] parts = text.getWholeText().split("\r?\n", -1);
        for (int i = 0; i < parts.length; i++) {
            if (i > 0) {
                end("");
            }
            text(parts[i].replace(' ', '\u00a0'), look);
        }
    }

    private void element(Element element, HtmlLook look) {
        String tag = element.normalName();
        switch (tag) {
            case "br" -> end("");
            case "ol", "ul" -> list(element, look);
            case "table" -> table(element, look);
            case "img" -> picture(element);
            case "math" -> formula(element, look);
            case "svg", "canvas", "object", "embed", "iframe", "video", "audio" -> lost(element, look);
            case "input" -> field(element, look);
            case "textarea" -> text(LineCollector.RULE, look);
            case "select" -> choices(element, look);
            case "button", "datalist" -> {
                // What one presses is none of the test.
            }
            default -> block(element, look, BLOCKS.contains(tag) || isChoice(element));
        }
    }

    private void block(Element element, HtmlLook look, boolean apart) {
        String tag = element.normalName();
        int outer = indent;
        if (apart) {
            end("");
            indent += inset(element);
        }
        int quotation = tag.equals("blockquote") ? 1 : 0;
        quotations += quotation;
        if (look.hidden() != (place == Place.HIDDEN)) {
            end("");
        }
        Place around = place;
        place = look.hidden() ? Place.HIDDEN : place;
        blocks(element, look);
        if (apart || place != around) {
            end(tag.matches("h[1-6]") ? "heading " + tag.charAt(1) : "");
        }
        place = around;
        indent = outer;
        quotations -= quotation;
    }

    /** A label around its own box stands on a line like the boxes above and below. */
    private static boolean isChoice(Element element) {
        return element.normalName().equals("label")
                && element.select("> input").stream().anyMatch(HtmlWalker::isBox);
    }

    private static int inset(Element element) {
        Map<String, String> style = HtmlStyles.declarations(element.attr("style"));
        Matcher length = LENGTH.matcher(style.getOrDefault("margin-left", style.getOrDefault("padding-left", "")));
        if (!length.matches() || length.group(2) == null) {
            return 0;
        }
        return (int) Math.round(Double.parseDouble(length.group(1)) * TWIPS.get(length.group(2)));
    }

    private static boolean isBox(Element input) {
        return input.attr("type").toLowerCase(Locale.ROOT).matches("checkbox|radio");
    }

    private void field(Element input, HtmlLook look) {
        if (isBox(input)) {
            text(input.hasAttr("checked") ? "\u2611 " : "\u2610 ", look);
        } else if (!SILENT_FIELDS.contains(input.attr("type").toLowerCase(Locale.ROOT))) {
            text(LineCollector.RULE, look);
        }
    }

    /** What can be chosen at a place in a sentence stands there in brackets, what is chosen in bold; a line that only asks to choose does not. */
    private void choices(Element select, HtmlLook look) {
        List<Element> options = select.select("option").stream()
                .filter(option -> !option.hasAttr("disabled")
                        && !(option.hasAttr("value") && option.attr("value").isEmpty())
                        && option.text().codePoints().anyMatch(Character::isLetterOrDigit))
                .collect(Collectors.toCollection(ArrayList::new));
        if (options.size() > 2 && PLACEHOLDER.matcher(options.get(0).text()).lookingAt()) {
            options.remove(0);
        }
        if (options.isEmpty()) {
            text(LineCollector.RULE, look);
            return;
        }
        text("(", look);
        for (int i = 0; i < options.size(); i++) {
            text(i == 0 ? "" : " / ", look);
            boolean chosen = options.get(i).hasAttr("selected");
            text(options.get(i).text(), chosen ? look.with(new Element("b")) : look);
        }
        text(")", look);
    }

    private void list(Element list, HtmlLook look) {
        end("");
        HtmlLists labels = new HtmlLists(list);
        indent += LIST_INDENT;
        for (Element item : list.children()) {
            HtmlLook own = look.with(item);
            if (item.normalName().equals("li")) {
                pendingLabel = labels.label(item);
                String label = pendingLabel;
                block(item, own, true);
                if (!label.isEmpty() && !label.equals(HtmlLists.BULLET) && pendingLabel.equals(label)) {
                    // A number without words is printed all the same.
                    begin();
                    end("");
                }
                pendingLabel = "";
            } else {
                element(item, own);
            }
        }
        indent -= LIST_INDENT;
        end("");
    }

    /** Cells that reach over several rows or columns keep the others in their places (HTML standard, "Forming a table"). */
    private void table(Element table, HtmlLook look) {
        end("");
        Optional<Cell> outer = cell;
        int number = tables++;
        List<Element> rows = table.select("> caption, > tr, > thead > tr, > tbody > tr, > tfoot > tr");
        int[] taken = new int[WIDEST_TABLE];
        int row = 0;
        for (Element tableRow : rows) {
            if (tableRow.normalName().equals("caption")) {
                block(tableRow, look.with(tableRow), true);
                continue;
            }
            row(tableRow, look.with(tableRow), number, row++, taken);
        }
        cell = outer;
    }

    private void row(Element tableRow, HtmlLook look, int number, int row, int[] taken) {
        List<Element> cells = tableRow.select("> td, > th");
        int columns = 0;
        int[] places = new int[cells.size()];
        for (int i = 0; i < cells.size(); i++) {
            while (columns < WIDEST_TABLE && taken[columns] > 0) {
                taken[columns++]--;
            }
            places[i] = columns;
            int wide = span(cells.get(i), "colspan");
            int high = span(cells.get(i), "rowspan");
            for (int c = 0; c < wide && columns < WIDEST_TABLE; c++) {
                taken[columns++] = high - 1;
            }
        }
        for (int after = columns; after < WIDEST_TABLE; after++) {
            if (taken[after] > 0) {
                taken[after]--;
                columns = after + 1;
            }
        }
        for (int i = 0; i < cells.size(); i++) {
            cell = Optional.of(new Cell(number, row, places[i], columns));
            block(cells.get(i), look.with(cells.get(i)), true);
        }
    }

    private static int span(Element cell, String attribute) {
        String written = cell.attr(attribute).strip();
        return written.matches("[1-9]\\d{0,2}") ? Integer.parseInt(written) : 1;
    }

    /** Shown also where the page hides it, for then a picture of it stands beside that is of no use here. */
    private void formula(Element math, HtmlLook look) {
        try {
            Document alone = new Document("");
            alone.outputSettings()
                    .syntax(OutputSettings.Syntax.xml)
                    .escapeMode(EscapeMode.xhtml)
                    .prettyPrint(false);
            alone.appendChild(math.clone());
            byte[] xml = alone.html().getBytes(StandardCharsets.UTF_8);
            String latex = MathMlToLatex.convert(Xml.parse("formula", xml).getDocumentElement());
            text("\\(" + latex + "\\)", look);
        } catch (IntakeException damaged) {
            text(math.text(), look);
            notes.add(new Note(
                    lines.lines().size() + 1,
                    "formula-to-check",
                    "A formula of the page could not be read as one. Compare it with the page and write it anew."));
        }
    }

    private void picture(Element img) {
        String address = img.attr("src").strip();
        String alternative = img.attr("alt").strip();
        Matcher inside = INSIDE.matcher(address);
        if (inside.matches()) {
            bytes(inside).ifPresent(bytes -> add(inside.group(1), alternative, bytes));
        } else if (!address.isEmpty()) {
            // Named as Markdown names a picture: where the file comes with it, it is put there.
            text(
                    "![" + alternative.replaceAll("[\\[\\]]", "") + "](" + address.replaceAll("[?#].*|\\s+", "") + ")",
                    HtmlLook.PLAIN);
        }
    }

    private static Optional<byte[]> bytes(Matcher inside) {
        boolean packed = inside.group(2) != null && inside.group(2).contains("base64");
        try {
            return Optional.of(
                    packed
                            ? Base64.getMimeDecoder().decode(inside.group(3))
                            : java.net.URLDecoder.decode(inside.group(3).replace("+", "%2B"), StandardCharsets.UTF_8)
                                    .getBytes(StandardCharsets.UTF_8));
        } catch (IllegalArgumentException damaged) {
            return Optional.empty();
        }
    }

    private void add(String type, String alternative, byte[] bytes) {
        begin();
        String id = "f" + (figures.size() + 1);
        figures.add(new Figure(id, type, alternative, bytes));
        lines.figure(id);
        endsBlank = false;
    }

    private void lost(Element element, HtmlLook look) {
        // A formula drawn by a script keeps its own text behind the drawing.
        if (look.hidden()
                || element.parent() != null && !element.parent().select("math").isEmpty()) {
            return;
        }
        notes.add(new Note(lines.lines().size() + 1, "figure-absent", Pictures.SHAPES_LOST));
    }

    private void text(String shown, HtmlLook look) {
        if (!open && shown.isBlank()) {
            return;
        }
        String written = open && !endsBlank ? shown : shown.stripLeading();
        begin();
        lines.append(written, look.emphasis(), look.color());
        endsBlank = written.isEmpty() ? endsBlank : written.endsWith(" ");
    }

    private void begin() {
        if (!open) {
            lines.label(pendingLabel);
            pendingLabel = "";
            open = true;
            endsBlank = false;
        }
    }

    private void end(String style) {
        if (open) {
            lines.end(indent, style.isEmpty() && quotations > 0 ? "quote" : style, place, cell, false);
            open = false;
        }
    }
}
