package org.tidyleaf.intake;

import java.io.ByteArrayOutputStream;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.source.Cell;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Figure;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Place;

/** Reads the tokens of a rich text and tells a collector what is printed. One per document, not shared. */
final class RtfWalker {

    /** Deeper nesting is no text that anybody wrote. */
    private static final int MAX_DEPTH = 2_000;

    /** Groups that hold no printed text. */
    private static final Set<String> SILENT = Set.of(
            "fonttbl",
            "stylesheet",
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
            "object",
            "pgptbl",
            "ftnsep",
            "ftnsepc",
            "aftnsep",
            "aftnsepc",
            "annotation",
            "atnid",
            "atnauthor",
            "sp",
            "shpinst",
            "do");

    private final String text;
    private final LineCollector lines = new LineCollector();
    private final List<Figure> figures = new ArrayList<>();
    private final List<String> colors = new ArrayList<>();
    private final Deque<State> stack = new ArrayDeque<>();
    private final ByteArrayOutputStream pending = new ByteArrayOutputStream();
    private final StringBuilder label = new StringBuilder();
    private final StringBuilder picture = new StringBuilder();
    private Charset charset = Charset.forName("windows-1252");
    private State state = new State();
    private int at;
    private int skip;
    private int table = -1;
    private int row;
    private int column;
    private boolean begun;
    private int colorRed;
    private int colorGreen;
    private int colorBlue;
    private String pictureType = "";

    RtfWalker(String text) {
        this.text = text;
    }

    /** What a group inherits and may change for itself. */
    private static final class State {
        Set<Emphasis> look = EnumSet.noneOf(Emphasis.class);
        String destination = "";
        Place place = Place.BODY;
        boolean hidden;
        boolean ignorable;
        boolean inTable;
        boolean centered;
        int indent;
        int firstIndent;
        int unicodeSkip = 1;

        State copy() {
            State copy = new State();
            copy.look = EnumSet.noneOf(Emphasis.class);
            copy.look.addAll(look);
            copy.destination = destination;
            copy.place = place;
            copy.hidden = hidden;
            copy.inTable = inTable;
            copy.centered = centered;
            copy.indent = indent;
            copy.firstIndent = firstIndent;
            copy.unicodeSkip = unicodeSkip;
            return copy;
        }
    }

    List<Line> lines() {
        return lines.lines();
    }

    List<Figure> figures() {
        return List.copyOf(figures);
    }

    void walk() {
        while (at < text.length()) {
            char c = text.charAt(at);
            switch (c) {
                case '{' -> open();
                case '}' -> close();
                case '\\' -> control();
                case '\r', '\n' -> at++;
                default -> {
                    at++;
                    character(c);
                }
            }
        }
        endLine();
    }

    private void open() {
        flush();
        at++;
        skip = 0;
        if (stack.size() < MAX_DEPTH) {
            stack.push(state);
            state = state.copy();
        }
    }

    private void close() {
        flush();
        at++;
        skip = 0;
        if (state.destination.equals("pict") && picture.length() > 0) {
            endPicture();
        }
        boolean apart = state.place != Place.BODY && !stack.isEmpty() && stack.peek().place == Place.BODY;
        if (apart) {
            endLine();
        }
        if (!stack.isEmpty()) {
            state = stack.pop();
        }
    }

    private void character(char c) {
        if (skip > 0) {
            skip--;
            return;
        }
        pending.write(c);
    }

    private void control() {
        at++;
        if (at >= text.length()) {
            return;
        }
        char c = text.charAt(at);
        if (Character.isLetter(c)) {
            word();
            return;
        }
        at++;
        switch (c) {
            case '\'' -> {
                String hex = text.substring(at, Math.min(text.length(), at + 2));
                at += hex.length();
                if (hex.matches("[0-9a-fA-F]{2}")) {
                    character((char) Integer.parseInt(hex, 16));
                }
            }
            case '*' -> state.ignorable = true;
            case '~' -> print("\u00a0");
            case '_' -> print("-");
            case '\r', '\n' -> endLine();
            case '\\', '{', '}' -> character(c);
            default -> {
                // Optional hyphens and index marks print nothing.
            }
        }
    }

    private void word() {
        int from = at;
        while (at < text.length() && Character.isLetter(text.charAt(at)) && text.charAt(at) < 128) {
            at++;
        }
        String name = text.substring(from, at);
        int numberFrom = at;
        if (at < text.length() && text.charAt(at) == '-') {
            at++;
        }
        while (at < text.length() && Character.isDigit(text.charAt(at)) && at - numberFrom < 10) {
            at++;
        }
        String digits = text.substring(numberFrom, at);
        Optional<Integer> number =
                digits.matches("-?\\d+") ? Optional.of((int) Long.parseLong(digits)) : Optional.empty();
        if (at < text.length() && text.charAt(at) == ' ') {
            at++;
        }
        if (name.equals("bin")) {
            at = Math.min(text.length(), at + Math.max(0, number.orElse(0)));
            return;
        }
        flush();
        apply(name, number);
    }

    private void apply(String name, Optional<Integer> number) {
        if (destination(name)) {
            return;
        }
        boolean on = number.orElse(1) != 0;
        switch (name) {
            case "b" -> set(Emphasis.BOLD, on);
            case "i" -> set(Emphasis.ITALIC, on);
            case "ul", "ulw", "uld", "uldb", "uldash" -> set(Emphasis.UNDERLINE, on);
            case "ulnone" -> set(Emphasis.UNDERLINE, false);
            case "strike", "striked" -> set(Emphasis.STRIKE, on);
            case "super" -> set(Emphasis.SUPERSCRIPT, on);
            case "sub" -> set(Emphasis.SUBSCRIPT, on);
            case "nosupersub" -> {
                set(Emphasis.SUPERSCRIPT, false);
                set(Emphasis.SUBSCRIPT, false);
            }
            case "highlight", "chcbpat", "cb" -> set(Emphasis.HIGHLIGHT, isTint(number.orElse(0)));
            case "cf" -> set(Emphasis.COLOR, isColored(number.orElse(0)));
            case "v" -> state.hidden = on;
            case "plain" -> {
                state.look = EnumSet.noneOf(Emphasis.class);
                state.hidden = false;
            }
            default -> layout(name, number);
        }
    }

    /** Whether the word names what the group is for. */
    private boolean destination(String name) {
        if (SILENT.contains(name)
                || state.ignorable
                        && !Set.of("shppict", "listtext", "pntext", "pict").contains(name)) {
            state.destination = "silent";
            state.ignorable = false;
            return true;
        }
        state.ignorable = false;
        switch (name) {
            case "colortbl", "pict", "listtext", "pntext" -> state.destination = name;
            case "header", "headerl", "headerr", "headerf" -> state.place = Place.HEADER;
            case "footer", "footerl", "footerr", "footerf" -> state.place = Place.FOOTER;
            case "footnote" -> state.destination = "silent";
            default -> {
                return false;
            }
        }
        return true;
    }

    private void layout(String name, Optional<Integer> number) {
        switch (name) {
            case "par", "line", "sect", "page" -> endLine();
            case "cell", "nestcell" -> {
                endLine();
                column++;
            }
            case "row", "nestrow" -> {
                row++;
                column = 0;
            }
            case "trowd" -> startRow();
            case "pard" -> {
                state.inTable = false;
                state.centered = false;
                state.indent = 0;
                state.firstIndent = 0;
            }
            case "intbl" -> state.inTable = true;
            case "qc" -> state.centered = true;
            case "li", "lin" -> state.indent = number.orElse(0);
            case "fi" -> state.firstIndent = number.orElse(0);
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

    private void encoding(String name, Optional<Integer> number) {
        switch (name) {
            case "u" -> {
                print(String.valueOf((char) (number.orElse(0) & 0xFFFF)));
                skip = state.unicodeSkip;
            }
            case "uc" -> state.unicodeSkip = Math.max(0, number.orElse(1));
            case "ansicpg" -> charset = codePage(number.orElse(1252));
            case "red" -> colorRed = number.orElse(0);
            case "green" -> colorGreen = number.orElse(0);
            case "blue" -> colorBlue = number.orElse(0);
            case "pngblip" -> pictureType = "image/png";
            case "jpegblip" -> pictureType = "image/jpeg";
            case "emfblip" -> pictureType = "image/emf";
            case "wmetafile" -> pictureType = "image/wmf";
            default -> {
                // Of the some 1,800 words of the format, those that change nothing we read are passed over.
            }
        }
    }

    private static Charset codePage(int number) {
        try {
            return Charset.forName("windows-" + number);
        } catch (UnsupportedCharsetException | IllegalCharsetNameException unknown) {
            // An unknown code page reads as the Western one.
            return Charset.forName("windows-1252");
        }
    }

    private void startRow() {
        if (column == 0 && (table < 0 || !begun)) {
            table++;
            row = 0;
            begun = true;
        }
    }

    private void set(Emphasis emphasis, boolean on) {
        if (on) {
            state.look.add(emphasis);
        } else {
            state.look.remove(emphasis);
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
            String decoded = pending.toString(charset);
            pending.reset();
            print(decoded);
        }
    }

    private void print(String printed) {
        switch (state.destination) {
            case "silent" -> {}
            case "colortbl" -> colors(printed);
            case "pict" -> picture.append(printed);
            case "listtext", "pntext" -> label.append(printed);
            default -> text(printed);
        }
    }

    private void colors(String printed) {
        for (int i = 0; i < printed.length(); i++) {
            if (printed.charAt(i) == ';') {
                colors.add(String.format("%02x%02x%02x", colorRed & 0xFF, colorGreen & 0xFF, colorBlue & 0xFF));
                colorRed = 0;
                colorGreen = 0;
                colorBlue = 0;
            }
        }
    }

    private void text(String printed) {
        if (state.hidden) {
            return;
        }
        if (label.length() > 0) {
            String strip = label.toString().strip();
            boolean symbol = strip.length() == 1 && !Character.isLetterOrDigit(strip.charAt(0));
            lines.label(symbol ? DocxNumbering.bullet(strip) : strip);
            label.setLength(0);
        }
        boolean ruled = state.look.contains(Emphasis.UNDERLINE)
                && printed.isBlank()
                && (printed.contains("\t") || printed.length() >= 3);
        lines.append(ruled ? "________" : printed, state.look, "");
    }

    private void endPicture() {
        String hex = picture.toString().replaceAll("[^0-9a-fA-F]", "");
        picture.setLength(0);
        byte[] bytes = new byte[hex.length() / 2];
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = (byte) Integer.parseInt(hex.substring(2 * i, 2 * i + 2), 16);
        }
        String id = "f" + (figures.size() + 1);
        figures.add(new Figure(id, pictureType, "", bytes));
        lines.figure(id);
    }

    private void endLine() {
        flush();
        label.setLength(0);
        Optional<Cell> cell =
                state.inTable && table >= 0 ? Optional.of(new Cell(table, row, column, column + 1)) : Optional.empty();
        if (!state.inTable) {
            begun = false;
        }
        lines.end(Math.max(0, state.indent + state.firstIndent), "", state.place, cell, state.centered);
    }
}
