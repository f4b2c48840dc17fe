package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.Consumer;
import org.tidyleaf.intake.Docx;

/**
 * A test as a word processor saves it where its author used what it offers: lists of two levels, styles, forced line breaks, boxes of
 * forms, underlined blanks, words cut into runs, tracked changes; and what is to be understood of it, as {@code Shown} in the package
 * above shows a reading. The markup is that of ECMA-376, part 1.
 */
public final class MadeWord extends Drawn {

    private static final int FEWEST = 2;

    private enum Stems {
        TYPED,
        HARD_SPACE,
        AUTOMATIC,
        IN_STYLE,
        HEADING
    }

    private enum Options {
        TYPED,
        SECOND_LEVEL,
        OWN_LIST,
        BREAKS_BELOW_STEM,
        BREAKS,
        BULLETS,
        CHECK_BOXES,
        SYMBOLS,
        TABS
    }

    private enum Gap {
        RULE,
        UNDERLINED_TABS,
        UNDERLINED_SPACES,
        DOTS,
        FORM_FIELD,
        CONTROL
    }

    private enum Key {
        NONE,
        HIGHLIGHT,
        SHADING,
        BOLD,
        COLOR,
        UNDERLINE,
        TICKED,
        ANSWER_LINE,
        LIST
    }

    private enum Heads {
        NONE,
        STYLE,
        NUMBERED_STYLE,
        BOLD
    }

    private static final String STYLES =
            "<w:styles xmlns:w=\"http://schemas.openxmlformats.org/wordprocessingml/2006/main\">"
                    + style("Title", "Title", "")
                    + style("Heading1", "heading 1", "<w:outlineLvl w:val=\"0\"/>")
                    + style("Heading2", "heading 2", "<w:outlineLvl w:val=\"1\"/>")
                    + style("Asked", "Asked", "<w:numPr><w:numId w:val=\"1\"/></w:numPr>")
                    + style(
                            "Heading1n",
                            "heading 1 numbered",
                            "<w:outlineLvl w:val=\"0\"/><w:numPr><w:numId w:val=\"2\"/></w:numPr>")
                    + "</w:styles>";

    private static final String LINKS =
            "<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\">"
                    + "<Relationship Id=\"s1\" Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/styles\""
                    + " Target=\"styles.xml\"/><Relationship Id=\"n1\""
                    + " Type=\"http://schemas.openxmlformats.org/officeDocument/2006/relationships/numbering\""
                    + " Target=\"numbering.xml\"/></Relationships>";

    private final Stems stems;
    private final Options options;
    private final Gap gap;
    private final Key key;
    private final Heads heads;
    private final boolean cut;
    private final boolean tracked;
    private final boolean upper;
    private final StringBuilder body = new StringBuilder();
    private final StringBuilder numbers = new StringBuilder();
    private final StringBuilder shown = new StringBuilder();
    private final List<String> answers = new ArrayList<>();
    private int part;
    private int lists = 4;

    public MadeWord(long seed, String languageCode) {
        super(seed, languageCode, 0x589965CC75374CC3L);
        stems = one(Stems.values());
        Options drawn = one(Options.values());
        options = drawn == Options.SECOND_LEVEL && stems != Stems.AUTOMATIC ? Options.TYPED : drawn;
        gap = one(Gap.values());
        key = drawnKey();
        heads = one(Heads.values());
        cut = random.nextBoolean();
        tracked = random.nextInt(4) == 0;
        upper = random.nextBoolean();
        write();
    }

    /** Nobody names letters that are not there, nor ticks boxes that are not there. */
    private Key drawnKey() {
        boolean bare = options == Options.BULLETS || options == Options.CHECK_BOXES || options == Options.SYMBOLS;
        boolean boxes = options == Options.CHECK_BOXES || options == Options.SYMBOLS;
        Key drawn = one(Key.values());
        while (bare && (drawn == Key.ANSWER_LINE || drawn == Key.LIST)
                || !boxes && drawn == Key.TICKED
                || drawn == Key.UNDERLINE && gap.name().startsWith("UNDERLINED")) {
            drawn = one(Key.values());
        }
        return drawn;
    }

    @Override
    public String habits() {
        return stems + " " + options + " gap " + gap + " key " + key + " heads " + heads + (cut ? " cut" : "")
                + (tracked ? " tracked" : "");
    }

    @Override
    public String text() {
        return shown.toString();
    }

    @Override
    String ending() {
        return "docx";
    }

    @Override
    public byte[] bytes() {
        return Docx.body(body.toString())
                .part("word/styles.xml", STYLES)
                .numbering(numbering())
                .part("word/_rels/document.xml.rels", LINKS)
                .bytes();
    }

    private static String style(String id, String name, String properties) {
        return "<w:style w:type=\"paragraph\" w:styleId=\"" + id + "\"><w:name w:val=\"" + name + "\"/><w:pPr>"
                + properties + "</w:pPr></w:style>";
    }

    private String numbering() {
        String letters = upper ? "upperLetter" : "lowerLetter";
        return "<w:abstractNum w:abstractNumId=\"1\">" + level(0, "decimal", "%1.") + level(1, letters, "%2)")
                + "</w:abstractNum><w:abstractNum w:abstractNumId=\"2\">"
                + level(0, "upperLetter", say("Part") + " %1:")
                + "</w:abstractNum><w:abstractNum w:abstractNumId=\"3\">" + level(0, letters, "%1.")
                + "</w:abstractNum><w:abstractNum w:abstractNumId=\"4\">" + level(0, "bullet", "\u2022")
                + "</w:abstractNum>" + num(1, 1, "") + num(2, 2, "") + num(4, 4, "") + numbers;
    }

    private static String level(int level, String format, String text) {
        return "<w:lvl w:ilvl=\"" + level + "\"><w:start w:val=\"1\"/><w:numFmt w:val=\"" + format
                + "\"/><w:lvlText w:val=\"" + text + "\"/></w:lvl>";
    }

    private static String num(int id, int kind, String anew) {
        return "<w:num w:numId=\"" + id + "\"><w:abstractNumId w:val=\"" + kind + "\"/>" + anew + "</w:num>";
    }

    private void paragraph(String properties, String runs, String text) {
        body.append("<w:p><w:pPr>")
                .append(properties)
                .append("</w:pPr>")
                .append(runs)
                .append("</w:p>");
        shown.append(text).append('\n');
    }

    private void plain(String text) {
        paragraph("", runs(text, ""), text);
    }

    /** Words with their look, in one run or cut in two as word processors do where an author has come back to them. */
    private String runs(String text, String look) {
        if (cut && text.length() > 6 && random.nextBoolean()) {
            int at = 2 + random.nextInt(text.length() - 4);
            return run(text.substring(0, at), look) + "<w:proofErr w:type=\"spellStart\"/>"
                    + "<w:bookmarkStart w:id=\"0\" w:name=\"_GoBack\"/><w:bookmarkEnd w:id=\"0\"/>"
                    + run(text.substring(at), look);
        }
        if (tracked && text.length() > 6 && random.nextInt(3) == 0) {
            int at = text.lastIndexOf(' ');
            if (at > 0) {
                return run(text.substring(0, at), look)
                        + "<w:del w:id=\"1\" w:author=\"x\"><w:r><w:delText xml:space=\"preserve\"> gone</w:delText></w:r></w:del>"
                        + "<w:ins w:id=\"2\" w:author=\"x\">" + run(text.substring(at), look) + "</w:ins>";
            }
        }
        return run(text, look);
    }

    private static String run(String text, String look) {
        return "<w:r><w:rPr>" + look + "</w:rPr><w:t xml:space=\"preserve\">"
                + WebPage.escaped(text)
                        .replace("\t", "</w:t><w:tab/><w:t xml:space=\"preserve\">")
                        .replace("\n", "</w:t><w:br/><w:t xml:space=\"preserve\">")
                + "</w:t></w:r>";
    }

    private void write() {
        paragraph("<w:pStyle w:val=\"Title\"/>", runs("Keeping Bees: review", ""), "Keeping Bees: review");
        plain(say("Name") + ": ____________________");
        List<Runnable> all = new ArrayList<>(List.of(
                () -> part("Multiple choice", 5, language.choices(), this::choice),
                () -> part("True or false", 4, language.statements(), this::statement),
                () -> part("Complete the sentences", 4, language.gaps(), this::gap),
                () -> part("Short answers", 3, language.asked(), this::asked)));
        Collections.shuffle(all, random);
        all.subList(0, FEWEST + random.nextInt(3)).forEach(Runnable::run);
        if (key == Key.LIST) {
            plain("");
            paragraph("", run(say("Answer key"), "<w:b/>"), say("Answer key"));
            answers.forEach(this::plain);
        }
    }

    private <T> void part(String title, int most, List<T> content, Consumer<T> type) {
        List<T> items = some(content, FEWEST, most);
        if (heads != Heads.NONE) {
            String label = say("Part") + " " + (char) ('A' + part++) + ":";
            String words = say(title);
            switch (heads) {
                case STYLE -> paragraph("<w:pStyle w:val=\"Heading1\"/>", runs(label + " " + words, ""), label + words);
                case NUMBERED_STYLE ->
                    paragraph("<w:pStyle w:val=\"Heading1n\"/>", runs(words, ""), "(" + label + ") " + words);
                default -> paragraph("", runs(label + " " + words, "<w:b/>"), label + " " + words);
            }
            expected.append("== ").append(label).append(' ').append(words).append('\n');
        }
        items.forEach(type);
    }

    private void stem(String runs, String text) {
        number++;
        switch (stems) {
            case TYPED -> paragraph("", run(number + ". ", "") + runs, number + ". " + text);
            case HARD_SPACE -> paragraph("", run(number + ".\u00a0", "") + runs, number + ". " + text);
            case AUTOMATIC ->
                paragraph(
                        "<w:numPr><w:ilvl w:val=\"0\"/><w:numId w:val=\"1\"/></w:numPr>",
                        runs,
                        "(" + number + ".) " + text);
            case IN_STYLE -> paragraph("<w:pStyle w:val=\"Asked\"/>", runs, "(" + number + ".) " + text);
            case HEADING -> {
                String head = say("Question") + " " + number;
                paragraph("<w:pStyle w:val=\"Heading2\"/>", runs(head, ""), head);
                paragraph("", runs, text);
            }
        }
    }

    private void stem(String text) {
        stem(runs(text, ""), text);
    }

    private String look(boolean right) {
        return !right
                ? ""
                : switch (key) {
                    case HIGHLIGHT -> "<w:highlight w:val=\"yellow\"/>";
                    case SHADING -> "<w:shd w:val=\"clear\" w:color=\"auto\" w:fill=\"FFFF00\"/>";
                    case BOLD -> "<w:b/>";
                    case COLOR -> "<w:color w:val=\"FF0000\"/>";
                    case UNDERLINE -> "<w:u w:val=\"single\"/>";
                    default -> "";
                };
    }

    private String letter(int place) {
        return String.valueOf((char) ((upper ? 'A' : 'a') + place));
    }

    private void choice(Content.Choice choice) {
        int right = choice.right().iterator().next();
        StringBuilder inLine = new StringBuilder();
        StringBuilder text = new StringBuilder();
        boolean brief = choice.options().stream().mapToInt(String::length).sum() < 50;
        Options own = options == Options.TABS && !brief ? Options.TYPED : options;
        String between = own == Options.TABS ? "\t" : "\n";
        for (int i = 0; i < choice.options().size(); i++) {
            inLine.append(i > 0 || own == Options.BREAKS_BELOW_STEM ? run(between, "") : "")
                    .append(run(letter(i) + ") ", look(i == right)))
                    .append(runs(choice.options().get(i), look(i == right)));
            text.append(between)
                    .append(letter(i))
                    .append(") ")
                    .append(choice.options().get(i));
        }
        if (own == Options.BREAKS_BELOW_STEM) {
            stem(runs(choice.stem(), "") + inLine, choice.stem() + text);
        } else {
            stem(choice.stem());
        }
        if (own == Options.BREAKS || own == Options.TABS) {
            paragraph("", inLine.toString(), text.toString().strip());
        } else if (own != Options.BREAKS_BELOW_STEM) {
            list(choice.options(), right, own);
        }
        answer(letter(right));
        expect("single-choice", choice.stem(), offered(choice, key != Key.NONE));
    }

    /** Options in paragraphs of their own. */
    private void list(List<String> words, int right, Options own) {
        if (own == Options.OWN_LIST) {
            lists++;
            numbers.append(num(lists, 3, "<w:lvlOverride w:ilvl=\"0\"><w:startOverride w:val=\"1\"/></w:lvlOverride>"));
        }
        for (int i = 0; i < words.size(); i++) {
            String runs = runs(words.get(i), look(i == right));
            boolean ticked = key == Key.TICKED && i == right;
            switch (own) {
                case SECOND_LEVEL ->
                    paragraph(
                            "<w:numPr><w:ilvl w:val=\"1\"/><w:numId w:val=\"1\"/></w:numPr>",
                            runs,
                            "(a)" + words.get(i));
                case OWN_LIST ->
                    paragraph(
                            "<w:numPr><w:ilvl w:val=\"0\"/><w:numId w:val=\"" + lists + "\"/></w:numPr>",
                            runs,
                            "(a.)" + words.get(i));
                case BULLETS ->
                    paragraph(
                            "<w:numPr><w:ilvl w:val=\"0\"/><w:numId w:val=\"4\"/></w:numPr>",
                            runs,
                            "\u2022 " + words.get(i));
                case CHECK_BOXES ->
                    paragraph(
                            "",
                            "<w:sdt><w:sdtPr><w14:checkbox xmlns:w14=\"http://schemas.microsoft.com/office/word/2010/wordml\">"
                                    + "<w14:checked w14:val=\"" + (ticked ? 1 : 0)
                                    + "\"/></w14:checkbox></w:sdtPr><w:sdtContent>"
                                    + run(ticked ? "\u2612" : "\u2610", "") + "</w:sdtContent></w:sdt>" + run(" ", "")
                                    + runs,
                            "\u2610 " + words.get(i));
                case SYMBOLS ->
                    paragraph(
                            "",
                            "<w:r><w:sym w:font=\"Wingdings\" w:char=\"" + (ticked ? "F0FE" : "F0A8") + "\"/></w:r>"
                                    + run(" ", "") + runs,
                            "\u2610 " + words.get(i));
                default ->
                    paragraph("", run(letter(i) + ") ", look(i == right)) + runs, letter(i) + ") " + words.get(i));
            }
        }
    }

    private void answer(String words) {
        if (key == Key.ANSWER_LINE) {
            plain(say("Answer") + ": " + words);
        } else if (key == Key.LIST) {
            answers.add(number + ". " + words);
        }
    }

    private String keyed(String words) {
        return key == Key.ANSWER_LINE || key == Key.LIST ? "\n    = " + words : "";
    }

    private void statement(Content.Statement statement) {
        boolean right = statement.right();
        boolean marked = !look(true).isEmpty();
        String yes = say("True");
        String no = say("False");
        stem(
                runs(statement.text() + "   ", "") + run(yes, look(right)) + run(" / ", "") + run(no, look(!right)),
                statement.text() + "   " + yes + " / " + no);
        answer(right ? yes : no);
        boolean told = marked || key == Key.ANSWER_LINE || key == Key.LIST;
        expect("true-false", statement.text(), judged(told, right));
    }

    private void gap(Content.Asked asked) {
        String[] around = asked.text().split("_", 2);
        stem(runs(around[0], "") + blank() + runs(around[1], ""), asked.text().replace("_", "<" + gap + ">"));
        answer(asked.accepted().get(0));
        expect(
                "text-entry",
                asked.text().replace("_", "[[1]]"),
                keyed(asked.accepted().get(0)));
    }

    private String blank() {
        return switch (gap) {
            case RULE -> run("__________", "");
            case UNDERLINED_TABS -> run("\t\t", "<w:u w:val=\"single\"/>");
            case UNDERLINED_SPACES -> run("               ", "<w:u w:val=\"single\"/>");
            case DOTS -> run("\u2026\u2026\u2026\u2026", "");
            case FORM_FIELD ->
                "<w:r><w:fldChar w:fldCharType=\"begin\"><w:ffData><w:textInput/></w:ffData></w:fldChar></w:r>"
                        + "<w:r><w:instrText xml:space=\"preserve\"> FORMTEXT </w:instrText></w:r>"
                        + "<w:r><w:fldChar w:fldCharType=\"separate\"/></w:r>"
                        + run("\u2002\u2002\u2002\u2002\u2002", "")
                        + "<w:r><w:fldChar w:fldCharType=\"end\"/></w:r>";
            case CONTROL ->
                "<w:sdt><w:sdtPr><w:showingPlcHdr/><w:text/></w:sdtPr><w:sdtContent>"
                        + run("Click or tap here to enter text.", "") + "</w:sdtContent></w:sdt>";
        };
    }

    private void asked(Content.Asked asked) {
        stem(asked.text());
        if (key != Key.ANSWER_LINE && key != Key.LIST) {
            plain("______________________________");
        }
        answer(asked.accepted().get(0));
        expect("text-entry", asked.text(), keyed(asked.accepted().get(0)));
    }
}
