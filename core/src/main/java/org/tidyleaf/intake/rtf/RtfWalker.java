package org.tidyleaf.intake.rtf;

import java.io.ByteArrayOutputStream;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.intake.common.Colors;
import org.tidyleaf.intake.common.LineCollector;
import org.tidyleaf.intake.common.ListLabels;
import org.tidyleaf.intake.common.Pictures;
import org.tidyleaf.intake.common.SymbolFonts;
import org.tidyleaf.intake.rtf.RtfState.Destination;
import org.tidyleaf.intake.rtf.RtfState.End;
import org.tidyleaf.intake.rtf.RtfTokens.Close;
import org.tidyleaf.intake.rtf.RtfTokens.Open;
import org.tidyleaf.intake.rtf.RtfTokens.Symbol;
import org.tidyleaf.intake.rtf.RtfTokens.Token;
import org.tidyleaf.intake.rtf.RtfTokens.Word;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;

/** Reads the tokens of a rich text and tells a collector what is printed. One per document, not shared. */
final class RtfWalker {

    /** Deeper nesting is no text that anybody wrote. */
    private static final int MAX_DEPTH = 2_000;

    /** Tables deeper within tables are no layout that anybody made. */
    private static final int MAX_TABLES = 20;

    /** Groups that hold no printed text. */
    private static final Set<String> SILENT = Set.of(
            "info",
            "listtable",
            "listoverridetable",
            "rsidtbl",
            "generator",
            "themedata",
            "colorschememapping",
            "latentstyles",
            "datastore",
            "xmlnstbl",
            "fldinst",
            "nonshppict",
            "bkmkstart",
            "bkmkend",
            "pgdsctbl",
            "filetbl",
            "revtbl",
            "mmathPr",
            "listpicture",
            "template",
            "operator",
            "userprops",
            "objdata",
            "pgptbl",
            "ftnsep",
            "ftnsepc",
            "aftnsep",
            "aftnsepc",
            "atnid",
            "atnauthor",
            "atndate",
            "atnref",
            "do");

    /** Groups that older programs shall skip and that hold something to read all the same. */
    private static final Set<String> READ_THOUGH_MARKED =
            Set.of("shppict", "listtext", "pntext", "pict", "shpinst", "annotation", "moMath", "moMathPara", "picprop");

    private final RtfTokens tokens;
    private final Deque<LineCollector> around = new ArrayDeque<>();
    private final List<Line> beside = new ArrayList<>();
    private final RtfTables tables = new RtfTables();
    private final RtfFonts fonts = new RtfFonts();
    private final List<Note> notes = new ArrayList<>();
    private final RtfStyles styles = new RtfStyles();
    private final RtfPictures pictures = new RtfPictures();
    private final RtfFormField field = new RtfFormField();
    private final List<String> colors = new ArrayList<>();
    private final Deque<RtfState> stack = new ArrayDeque<>();
    private final ByteArrayOutputStream pending = new ByteArrayOutputStream();
    private final StringBuilder label = new StringBuilder();
    private final StringBuilder hidden = new StringBuilder();
    private LineCollector lines = new LineCollector();
    private @Nullable RtfFormula formula;
    private RtfState state = new RtfState();
    private int skip;
    private int red;
    private int green;
    private int blue;

    RtfWalker(String text) {
        this.tokens = new RtfTokens(text);
    }

    List<Line> lines() {
        return tables.counted(lines.lines());
    }

    List<Figure> figures() {
        return pictures.figures();
    }

    List<Note> notes() {
        return notes;
    }

    void walk() {
        for (Optional<Token> next = tokens.next(); next.isPresent(); next = tokens.next()) {
            Token token = next.get();
            if (token instanceof RtfTokens.Byte one) {
                character(one.value());
                continue;
            }
            flush();
            if (token instanceof Open) {
                open();
            } else if (token instanceof Close) {
                close();
            } else if (token instanceof Symbol symbol) {
                symbol(symbol.sign());
            } else if (token instanceof Word word) {
                word(word.name(), word.number());
            }
        }
        flush();
        while (stack.size() > 0) {
            close();
        }
        endLine();
    }

    private void open() {
        skip = 0;
        if (stack.size() < MAX_DEPTH) {
            stack.push(state);
            state = state.inner();
        }
    }

    private void close() {
        skip = 0;
        switch (state.ends) {
            case PICTURE -> pictures.end().ifPresent(lines::figure);
            case PROPERTY -> {
                if (pictures.endProperty()) {
                    notes.add(new Note(lines.lines().size() + 1, "figure-absent", Pictures.SHAPES_LOST));
                }
            }
            case FORMULA -> endFormula();
            case FORMULA_PART -> Objects.requireNonNull(formula).end();
            case FIELD -> field.end().ifPresent(shown -> lines.append(shown, state.look, ""));
            case FIELD_RESULT -> field.room().ifPresent(room -> lines.append(room, state.look, ""));
            case APART -> endApart();
            case NOTHING -> {}
        }
        if (!stack.isEmpty()) {
            state = stack.pop();
        }
    }

    private void character(char c) {
        state.first = false;
        if (skip > 0) {
            skip--;
            return;
        }
        pending.write(c);
    }

    private void symbol(char sign) {
        switch (sign) {
            case '*' -> state.ignorable = true;
            case '~' -> print("\u00a0");
            case '_' -> print("-");
            case '\r', '\n' -> endLine();
            default -> {
                // Optional hyphens and index marks print nothing.
            }
        }
    }

    private void word(String name, Optional<Integer> number) {
        boolean first = state.first;
        boolean skippable = state.ignorable;
        state.first = false;
        state.ignorable = false;
        if (first && begins(name, skippable)) {
            return;
        }
        boolean on = number.orElse(1) != 0;
        switch (name) {
            case "b" -> state.set(Emphasis.BOLD, on);
            case "i" -> state.set(Emphasis.ITALIC, on);
            case "ul", "ulw", "uld", "uldb", "uldash" -> state.set(Emphasis.UNDERLINE, on);
            case "ulnone" -> state.set(Emphasis.UNDERLINE, false);
            case "strike", "striked" -> state.set(Emphasis.STRIKE, on);
            case "super" -> state.set(Emphasis.SUPERSCRIPT, on);
            case "sub" -> state.set(Emphasis.SUBSCRIPT, on);
            case "nosupersub" -> {
                state.set(Emphasis.SUPERSCRIPT, false);
                state.set(Emphasis.SUBSCRIPT, false);
            }
            case "highlight", "chcbpat", "cb" -> state.set(Emphasis.HIGHLIGHT, isTint(number.orElse(0)));
            case "cf" -> state.set(Emphasis.COLOR, isColored(number.orElse(0)));
            case "v" -> state.hidden = on;
            case "deleted" -> state.deleted = on;
            case "plain" -> state.resetCharacters();
            default -> layout(name, number.orElse(0));
        }
    }

    /** Whether the word says what its group is for. */
    private boolean begins(String name, boolean skippable) {
        if (state.destination == Destination.SILENT) {
            return false;
        }
        if (formula != null && name.startsWith("m")) {
            formula.begin(name);
            state.ends = End.FORMULA_PART;
            return true;
        }
        if (SILENT.contains(name) || skippable && !READ_THOUGH_MARKED.contains(name)) {
            state.destination = Destination.SILENT;
            if (name.equals("fldinst")) {
                field.begin();
                state.ends = End.FIELD;
            } else {
                state.ends = End.NOTHING;
            }
            return true;
        }
        switch (name) {
            case "fonttbl" -> state.destination = Destination.FONTS;
            case "stylesheet" -> {
                state.destination = Destination.STYLES;
                styles.begin(0);
            }
            case "colortbl" -> state.destination = Destination.COLORS;
            case "listtext", "pntext" -> state.destination = Destination.LABEL;
            case "sp" -> pictures.beginProperty();
            case "sn" -> state.destination = Destination.PROPERTY_NAME;
            case "sv" -> {
                state.destination = Destination.PROPERTY_VALUE;
                state.ends = End.PROPERTY;
            }
            case "pict" -> {
                pictures.begin();
                state.destination = Destination.PICTURE;
                state.ends = End.PICTURE;
            }
            case "fldrslt" -> {
                state.destination = field.isListed() ? Destination.SILENT : state.destination;
                state.ends = End.FIELD_RESULT;
            }
            case "moMath" -> {
                formula = new RtfFormula();
                state.ends = End.FORMULA;
            }
            case "shprslt" -> state.destination = Destination.SILENT;
            case "header", "headerl", "headerr", "headerf" -> beginApart(Place.HEADER);
            case "footer", "footerl", "footerr", "footerf" -> beginApart(Place.FOOTER);
            case "footnote" -> beginApart(Place.FOOTNOTE);
            case "annotation" -> beginApart(Place.COMMENT);
            case "shptxt" -> beginApart(Place.TEXT_BOX);
            default -> {
                return false;
            }
        }
        return true;
    }

    private void layout(String name, int number) {
        switch (name) {
            case "par", "line", "sect", "page" -> endLine();
            case "cell", "nestcell" -> {
                int depth = name.equals("cell") ? 1 : Math.max(2, state.tables);
                endLine();
                tables.endCell(depth);
            }
            case "row" -> tables.endRow(1);
            case "nestrow" -> tables.endRow(Math.max(2, state.tables));
            case "pard" -> state.resetParagraph();
            case "intbl" -> state.tables = Math.max(1, state.tables);
            case "itap" -> state.tables = Math.max(0, Math.min(number, MAX_TABLES));
            case "qc" -> state.centered = true;
            case "s" -> {
                state.style = number;
                if (state.destination == Destination.STYLES) {
                    styles.begin(number);
                }
            }
            case "li", "lin" -> state.indent = number;
            case "fi" -> state.firstIndent = number;
            case "tab" -> print("\t");
            case "emdash" -> print("\u2014");
            case "endash" -> print("\u2013");
            case "lquote" -> print("\u2018");
            case "rquote" -> print("\u2019");
            case "ldblquote" -> print("\u201c");
            case "rdblquote" -> print("\u201d");
            case "bullet" -> print("\u2022");
            default -> encoding(name, number);
        }
    }

    private void encoding(String name, int number) {
        switch (name) {
            case "u" -> {
                print(SymbolFonts.read(fonts.nameOf(state.font), String.valueOf((char) (number & 0xFFFF))));
                skip = state.unicodeSkip;
            }
            case "uc" -> state.unicodeSkip = Math.max(0, number);
            case "ansicpg" -> fonts.setCodePage(number);
            case "f" -> {
                state.font = number;
                if (state.destination == Destination.FONTS) {
                    fonts.begin(number);
                }
            }
            case "fcharset" -> fonts.charset(number);
            case "red" -> red = number;
            case "green" -> green = number;
            case "blue" -> blue = number;
            case "fftype" -> field.type(number);
            case "ffl" -> field.entry();
            case "ffres" -> field.result(number);
            case "ffdefres" -> field.standard(number);
            case "pngblip" -> pictures.type("image/png");
            case "jpegblip" -> pictures.type("image/jpeg");
            case "emfblip" -> pictures.type("image/emf");
            case "wmetafile" -> pictures.type("image/wmf");
            default -> {
                // Of the some 1,800 words of the format, those that change nothing we read are passed over.
            }
        }
    }

    private boolean isColored(int color) {
        return color > 0 && color < colors.size() && Colors.isColored(colors.get(color));
    }

    private boolean isTint(int color) {
        return color > 0 && (color >= colors.size() || !colors.get(color).equals("ffffff"));
    }

    private void flush() {
        if (pending.size() > 0) {
            byte[] bytes = pending.toByteArray();
            pending.reset();
            print(fonts.decode(state.font, bytes));
        }
    }

    private void print(String printed) {
        switch (state.destination) {
            case SILENT -> field.text(printed);
            case COLORS -> colors(printed);
            case FONTS -> fonts.name(printed);
            case STYLES -> styles.name(printed);
            case PICTURE -> pictures.digits(printed);
            case LABEL -> label.append(printed);
            case PROPERTY_NAME -> pictures.propertyName(printed);
            case PROPERTY_VALUE -> pictures.propertyValue(printed);
            case PRINTED -> text(printed);
        }
    }

    private void colors(String printed) {
        for (int i = 0; i < printed.length(); i++) {
            if (printed.charAt(i) == ';') {
                colors.add(String.format("%02x%02x%02x", red & 0xFF, green & 0xFF, blue & 0xFF));
                red = 0;
                green = 0;
                blue = 0;
            }
        }
    }

    private void text(String printed) {
        if (formula != null) {
            formula.text(printed);
            return;
        }
        if (state.deleted) {
            return;
        }
        if (state.hidden) {
            hidden.append(printed);
            return;
        }
        if (!printed.isBlank()) {
            field.typed();
        }
        printLabel();
        lines.append(printed, state.look, "");
    }

    private void endFormula() {
        Optional<String> latex = Objects.requireNonNull(formula).latex();
        formula = null;
        latex.ifPresent(text -> lines.append("\\(" + text + "\\)", state.look, ""));
    }

    /** Begins a text that prints apart; its lines follow the one in which it is anchored. */
    private void beginApart(Place place) {
        around.push(lines);
        lines = new LineCollector();
        state.place = place;
        state.resetParagraph();
        state.ends = End.APART;
    }

    private void endApart() {
        endLine();
        beside.addAll(lines.lines());
        lines = around.pop();
        if (lines.isAtLineStart()) {
            addBeside();
        }
    }

    private void addBeside() {
        lines.add(beside);
        beside.clear();
    }

    private void printLabel() {
        String strip = label.toString().strip();
        boolean symbol = strip.length() == 1 && !Character.isLetterOrDigit(strip.charAt(0));
        lines.label(symbol ? ListLabels.bullet(strip) : strip);
        label.setLength(0);
    }

    private void endLine() {
        if (lines.isAtLineStart() && state.place == Place.BODY) {
            printLabel();
        }
        label.setLength(0);
        Optional<Cell> cell = around.isEmpty() ? tables.at(state.tables) : Optional.empty();
        int indent = Math.max(0, state.indent + state.firstIndent);
        lines.end(indent, styles.nameOf(state.style), state.place, cell, state.centered);
        if (!hidden.toString().isBlank()) {
            lines.append(hidden.toString().strip(), Set.of(), "");
            lines.end(indent, "", Place.HIDDEN, cell, false);
        }
        hidden.setLength(0);
        if (around.isEmpty()) {
            addBeside();
        }
    }
}
