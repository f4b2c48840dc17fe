package org.tidyleaf.reading.made;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.tidyleaf.reading.made.Page.Look;
import org.tidyleaf.reading.made.Page.Words;

/**
 * A paper of texts to read with questions on each: how a text is announced, headed, set apart and cut into paragraphs, what stands
 * below it, how its questions are counted, and what follows that is about no text; and what is to be understood of it, as
 * {@code Shown} in the package above shows a reading.
 */
public final class MadePassages extends Drawn {

    /** What tells that a text follows. */
    private enum Lead {
        RANGE,
        INSTRUCTION,
        INSTRUCTION_BOLD,
        NONE
    }

    private enum Title {
        BOLD,
        PLAIN,
        TEXT_NUMBER,
        NONE
    }

    private enum Body {
        PARAGRAPHS,
        INDENTED,
        BOX,
        BOX_WITH_TITLE,
        NUMBERED,
        LETTERED
    }

    /** What stands right below a text and belongs to it. */
    private enum Foot {
        NONE,
        SOURCE,
        GLOSSARY,
        WORDS
    }

    private enum Key {
        NONE,
        LINES,
        LIST
    }

    private enum Heads {
        NONE,
        PARTS,
        EACH
    }

    private final Lead lead;
    private final Title title;
    private final Body body;
    private final Foot foot;
    private final Key key;
    private final Heads heads;
    private final boolean anew;
    private final boolean after;
    private final String numbers;
    private final String ending;
    private final List<String> answers = new ArrayList<>();
    private int part;

    /** @param format the ending of the file's name, "docx" for example, where plain text does not do */
    public MadePassages(long seed, String languageCode, String format) {
        super(seed, languageCode, 0xE7037ED1A0B428DBL);
        Lead drawn = one(Lead.values());
        title = one(Title.values());
        // A text without any head is told by its questions only.
        lead = drawn == Lead.NONE && title == Title.NONE ? Lead.INSTRUCTION : drawn;
        body = one(Body.values());
        foot = one(Foot.values());
        key = one(Key.values());
        heads = one(Heads.values());
        anew = heads == Heads.EACH && random.nextBoolean();
        after = random.nextBoolean() && heads != Heads.NONE;
        numbers = one(new String[] {"%d. ", "%d) ", "%d.\t", "Q%d. "});
        write();
        ending = page.isPlain() && random.nextInt(5) == 0 ? "txt" : format;
    }

    @Override
    public String habits() {
        return "lead " + lead + " title " + title + " " + body + " foot " + foot + " key " + key + " heads " + heads
                + (anew ? " anew" : "") + (after ? " after" : "") + " '" + numbers + "' " + ending;
    }

    @Override
    String ending() {
        return ending;
    }

    private void write() {
        page.line("Keeping Bees: reading", Look.BOLD);
        page.line(say("Name") + ": ____________________");
        page.blank();
        List<Content.Passage> passages = new ArrayList<>(language.passages());
        Collections.shuffle(passages, random);
        if (heads == Heads.PARTS) {
            head("Reading");
        }
        for (int i = 0; i < passages.size(); i++) {
            if (heads == Heads.EACH) {
                head("Reading");
            }
            passage(passages.get(i), i + 1);
        }
        if (after) {
            head("Multiple choice");
            expected.append("--\n");
            some(language.choices(), 2, 3).forEach(this::choice);
        }
        if (!answers.isEmpty()) {
            page.blank();
            page.line(say("Answer key"), Look.BOLD);
            answers.forEach(page::line);
        }
    }

    private void head(String name) {
        String typed = say("Part") + " " + (char) ('A' + part++) + ": " + say(name);
        page.line(typed, Look.BOLD);
        expected.append("== ").append(typed).append('\n');
        number = anew ? 0 : number;
    }

    private void passage(Content.Passage passage, int place) {
        int count = passage.choices().size() + passage.asked().size();
        StringBuilder shown = new StringBuilder();
        if (lead != Lead.NONE) {
            String told = lead == Lead.RANGE
                    ? say("Read the text and answer questions") + " " + (number + 1) + "\u2013" + (number + count) + "."
                    : say("Read the text and answer the questions.");
            page.line(told, lead == Lead.INSTRUCTION_BOLD ? Look.BOLD : Look.PLAIN);
            shown.append(told).append(' ');
        }
        String named = switch (title) {
            case BOLD, PLAIN -> passage.title();
            case TEXT_NUMBER -> say("Text") + " " + place + ": " + passage.title();
            case NONE -> "";
        };
        boolean inside = body == Body.BOX_WITH_TITLE;
        if (!named.isEmpty() && !inside) {
            page.line(named, title == Title.PLAIN ? Look.PLAIN : Look.BOLD);
        }
        shown.append(named);
        body(passage, named);
        foot(passage);
        page.blank();
        String all = (shown.toString().strip() + " " + labelled(passage, 0).replace("  ", " ")).strip();
        expected.append("-- ").append(all, 0, Math.min(40, all.length())).append('\n');
        passage.choices().forEach(this::choice);
        passage.asked().forEach(this::asked);
        page.blank();
    }

    private String labelled(Content.Passage passage, int paragraph) {
        String label = switch (body) {
            case NUMBERED -> "(" + (paragraph + 1) + ") ";
            case LETTERED -> (char) ('A' + paragraph) + "  ";
            default -> "";
        };
        return label + passage.paragraphs().get(paragraph);
    }

    private void body(Content.Passage passage, String named) {
        if (body == Body.BOX || body == Body.BOX_WITH_TITLE) {
            List<Words> lines = new ArrayList<>();
            if (body == Body.BOX_WITH_TITLE && !named.isEmpty()) {
                lines.add(new Words(named, title == Title.PLAIN ? Look.PLAIN : Look.BOLD));
            }
            passage.paragraphs().forEach(text -> lines.add(new Words(text, Look.PLAIN)));
            page.cells(List.of(List.of(new Page.Cell(lines))));
            return;
        }
        for (int i = 0; i < passage.paragraphs().size(); i++) {
            page.line(List.of(new Words(labelled(passage, i), Look.PLAIN)), body == Body.INDENTED ? 1 : 0, 0);
        }
    }

    private void foot(Content.Passage passage) {
        switch (foot) {
            case SOURCE -> page.line("(" + passage.title() + ", Ada Brook, 2019)");
            case GLOSSARY -> page.line("* skep: a hive of straw");
            case WORDS -> page.line("(96 " + say("words") + ")");
            case NONE -> {}
        }
    }

    private void stem(String text) {
        page.line(numbers.formatted(++number) + text);
    }

    private void choice(Content.Choice choice) {
        stem(choice.stem());
        for (int i = 0; i < choice.options().size(); i++) {
            page.line((char) ('a' + i) + ") " + choice.options().get(i));
        }
        answer(String.valueOf((char) ('a' + choice.right().iterator().next())));
        expect("single-choice", choice.stem(), offered(choice, isKeyed()));
    }

    private void asked(Content.Asked asked) {
        stem(asked.text());
        if (key != Key.LINES) {
            page.line("______________________________");
        }
        String words = asked.accepted().get(0);
        answer(words);
        expect("text-entry", asked.text(), !isKeyed() ? "" : "\n    = " + words);
    }

    private boolean isKeyed() {
        return key == Key.LINES || key == Key.LIST && !anew;
    }

    private void answer(String words) {
        if (key == Key.LINES) {
            page.line(say("Answer") + ": " + words);
        } else if (key == Key.LIST && !anew) {
            answers.add(number + ". " + words);
        }
    }
}
