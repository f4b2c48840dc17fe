package org.tidyleaf.reading.check;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Role;
import org.tidyleaf.reading.Snag;
import org.tidyleaf.reading.model.Assigned;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Drafts;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Note;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Source;

/** What a teacher should look at outside single questions: text and pictures left over, passages for nobody. */
final class DocumentSnags {

    /** Shorter lines that belong to no question are headings, names and notices. */
    private static final int LONG_LEFT_OVER = 100;

    private static final int SHORTEST_SENTENCE = 4;

    /** "___ building comb": something is to be written before it. */
    private static final Pattern BLANK_BEFORE = Pattern.compile("\\s*(?:_{2,}|[(\\[]\\s{1,4}[)\\]])\\s+\\p{L}{2}");

    /** A blank before a comma or a full stop within a sentence: what stood there is gone. */
    private static final Pattern HOLE = Pattern.compile("\\p{L}(?<!\\b[a-zA-Z]) +[,.](?=\\s+\\p{L}{2})");

    /** More such blanks than this share of the document's lines are a way of typing. */
    private static final double TYPING_HABIT = 0.25;

    /** "0", and behind it "A common   B usual": worked out before the first question. */
    private static final Pattern EXAMPLE = Pattern.compile("[(\\[]?0[.)\\]]?");

    private static final Pattern RANGE = Vocabulary.pattern(
            "\\b(\\d{1,3})\\s*(?:-|\u2013|\u2014|" + Vocabulary.ALL.either("to") + ")\\s*(\\d{1,3})\\b");

    private DocumentSnags() {}

    static void find(
            Source source, List<Assigned> roles, Drafts drafts, List<ReadQuestion> questions, List<Snag> snags) {
        boolean begun = false;
        int lastStem = lastStem(roles);
        for (int i = 0; i < roles.size(); i++) {
            Cues cues = roles.get(i).cues();
            Role role = roles.get(i).step().role();
            begun |= role == Role.STEM;
            boolean nobodys = role == Role.ASIDE || role == Role.FIGURE && drafts.owners()[i] == 0;
            if (nobodys && begun && isBody(cues.line())) {
                leftOver(cues, i < lastStem, snags);
            }
            boolean listed = nobodys
                    && i > 0
                    && isSetAside(roles.get(i - 1))
                    && goOn(roles.get(i - 1).cues(), cues);
            if (listed
                    && !(i > 1
                            && EXAMPLE.matcher(roles.get(i - 2).cues().text()).matches())) {
                snags.add(
                        new Snag(
                                "left-over",
                                0,
                                cues.line().number(),
                                "Lines with letters or boxes before them were set aside. If they are options, say here what they are."));
            }
            unreadable(cues.line(), drafts.owners()[i], snags);
            if (role == Role.SECTION
                    && begun
                    && asksNothingBelow(i, roles, drafts)
                    && (isSentence(cues) || isToldBelow(i, roles))) {
                snags.add(
                        new Snag(
                                "left-over",
                                0,
                                cues.line().number(),
                                "No question stands below this heading. If it asks something itself, say here that it is one."));
            }
        }
        holes(roles, drafts, snags);
        ranges(roles, questions, snags);
        for (Note note : source.notes()) {
            snags.add(new Snag(note.kind(), owner(note.line(), roles, drafts), note.line(), note.message()));
        }
    }

    /** Whether nothing from a heading on to the next, or to the end, belongs to a question. */
    private static boolean asksNothingBelow(int head, List<Assigned> roles, Drafts drafts) {
        int at = head + 1;
        while (at < roles.size() && roles.get(at).step().role() != Role.SECTION) {
            if (drafts.owners()[at] > 0) {
                return false;
            }
            at++;
        }
        return true;
    }

    /** "Exercise C" and below it what is to be done. */
    private static boolean isToldBelow(int head, List<Assigned> roles) {
        return head + 1 < roles.size()
                && roles.get(head + 1).step().role() == Role.INSTRUCTION
                && (roles.get(head).cues().is(Cues.Trait.SECTION_WORD)
                        || roles.get(head).cues().is(Cues.Trait.EXERCISE_HEAD));
    }

    /** The 1-based place of the question that a line belongs to, or 0. */
    private static int owner(int line, List<Assigned> roles, Drafts drafts) {
        for (int i = 0; i < roles.size(); i++) {
            if (roles.get(i).cues().line().number() == line && drafts.owners()[i] > 0) {
                return drafts.owners()[i];
            }
        }
        return 0;
    }

    private static boolean isSetAside(Assigned piece) {
        return piece.step().role() == Role.ASIDE && isBody(piece.cues().line());
    }

    /** Whether "a" and "b" begin them, or two boxes on one line: one snag for the whole list or line. */
    private static boolean goOn(Cues first, Cues second) {
        boolean boxes = first.has(Label.Kind.BOX)
                && second.has(Label.Kind.BOX)
                && first.piece().first()
                && !second.piece().first();
        return boxes || hasLetter(first, 1) && hasLetter(second, 2);
    }

    private static boolean hasLetter(Cues cues, int ordinal) {
        return cues.labels().stream()
                .anyMatch(label -> label.kind() == Label.Kind.LETTER && label.ordinal() == ordinal);
    }

    private static boolean isBody(Line line) {
        return line.layout().place() == Place.BODY || line.layout().place() == Place.TEXT_BOX;
    }

    private static int lastStem(List<Assigned> roles) {
        int last = -1;
        for (int i = 0; i < roles.size(); i++) {
            last = roles.get(i).step().role() == Role.STEM ? i : last;
        }
        return last;
    }

    /** A sentence among the questions that nothing else explains may tell candidates what to do. */
    private static boolean isSentence(Cues cues) {
        return cues.is(Cues.Trait.ENDS_SENTENCE)
                && cues.words().size() >= SHORTEST_SENTENCE
                && !cues.is(Cues.Trait.END_WORD)
                && !cues.is(Cues.Trait.FILL_IN)
                && !cues.is(Cues.Trait.WRITING_LINE);
    }

    private static void leftOver(Cues cues, boolean among, List<Snag> snags) {
        int line = cues.line().number();
        if (cues.is(Cues.Trait.FIGURE_ONLY)) {
            snags.add(new Snag(
                    "figure-nowhere",
                    0,
                    line,
                    "This picture belongs to no question. Join it to one, or leave it out."));
        } else if (cues.text().chars().filter(Character::isLetterOrDigit).count() >= LONG_LEFT_OVER
                && cues.lead().isEmpty()) {
            snags.add(new Snag(
                    "left-over",
                    0,
                    line,
                    "A long text was set aside. If it is a passage or part of a question, say so here."));
        } else if (among
                && !cues.is(Cues.Trait.WRITING_LINE)
                && BLANK_BEFORE.matcher(cues.text()).lookingAt()) {
            snags.add(
                    new Snag("left-over", 0, line, "A line with a blank to fill was set aside. Say here what it is."));
        } else if (among && cues.lead().isEmpty() && isSentence(cues)) {
            snags.add(new Snag(
                    "left-over", 0, line, "A sentence was set aside. If candidates need it, say here what it is."));
        }
    }

    private static void unreadable(Line line, int owner, List<Snag> snags) {
        if (owner > 0 && isUnreadable(line.text())) {
            snags.add(new Snag(
                    "formula-to-check",
                    owner,
                    line.number(),
                    "Some signs here could not be read. Compare them with your document and type them anew."));
        }
    }

    /** Signs of a font's own, and the one that stands for all that could not be decoded. */
    private static boolean isUnreadable(String text) {
        return text.chars().anyMatch(sign -> sign >= '\uE000' && sign <= '\uF8FF' || sign == '\uFFFD');
    }

    /** Programs that save in another format drop formulas without a word; the sentence shows where. */
    private static void holes(List<Assigned> roles, Drafts drafts, List<Snag> snags) {
        List<Snag> found = new ArrayList<>();
        for (int i = 0; i < roles.size(); i++) {
            Line line = roles.get(i).cues().line();
            boolean possible = line.text().contains(" ,") || line.text().contains(" .");
            if (possible && drafts.owners()[i] > 0 && HOLE.matcher(line.text()).find()) {
                found.add(new Snag(
                        "formula-to-check",
                        drafts.owners()[i],
                        line.number(),
                        "Something may be missing before a comma or full stop here. If a formula or a sign was lost"
                                + " when the file was saved, type it in."));
            }
        }
        if (found.size() <= Math.max(TYPING_HABIT * roles.size(), 1)) {
            snags.addAll(found);
        }
    }

    /** "Read the text for questions 7 to 9" where no such number is printed. */
    private static void ranges(List<Assigned> roles, List<ReadQuestion> questions, List<Snag> snags) {
        for (Assigned piece : roles) {
            boolean announces = piece.step().role() == Role.STIMULUS
                    && !piece.step().more()
                    && piece.cues().is(Cues.Trait.PASSAGE_WORD);
            Matcher matcher = RANGE.matcher(piece.cues().text());
            if (announces && matcher.find()) {
                int first = Integer.parseInt(matcher.group(1));
                int last = Integer.parseInt(matcher.group(2));
                boolean met = questions.stream()
                        // "5–7" counts the gaps of one text.
                        .map(read -> read.question()
                                .particulars()
                                .number()
                                .replaceFirst("(?<=\\d)\\s?[\u2013-].*$", "")
                                .replaceAll("\\D+$", ""))
                        .filter(number -> number.matches("\\d{1,4}"))
                        .mapToInt(Integer::parseInt)
                        .anyMatch(number -> first <= number && number <= last);
                if (!met) {
                    snags.add(new Snag(
                            "range-empty",
                            0,
                            piece.cues().line().number(),
                            "No question has a number from " + first + " to " + last
                                    + ". Look at the numbers, or at the range."));
                }
            }
        }
    }
}
