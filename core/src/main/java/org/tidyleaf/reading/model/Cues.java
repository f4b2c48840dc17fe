package org.tidyleaf.reading.model;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;

/**
 * Facts about one piece, deciding nothing.
 *
 * @param text the piece's text, trimmed
 * @param labels every way to understand its beginning, behind a sign if there is one
 * @param margin what stands before the number, if anything does
 * @param sign where a key's sign was found, if any
 * @param lead what its first word announces, if anything
 * @param words its words in lower case
 * @param traits everything that is either so or not
 */
public record Cues(
        Piece piece,
        Line line,
        String text,
        Optional<Margin> margin,
        List<Label> labels,
        Optional<Sign> sign,
        Optional<Lead> lead,
        Words words,
        Set<Trait> traits) {

    /**
     * A star, tick or word that marks an option; both places in the line, the sign itself lies between.
     *
     * @param right false for "(0%)", which marks an option as wrong
     */
    public record Sign(int from, int to, boolean right) {}

    /**
     * What stands left of a question's number: a blank to write the answer on, filled in or not, or "T F".
     *
     * @param said the answer in it, or empty
     * @param judgement whether it is a pair to judge by
     */
    public record Margin(String said, boolean judgement, int to) {}

    /** An announcing word like "Answer:"; {@code end} is where the announced text begins in the line. */
    public record Lead(Announces announces, int end) {}

    public enum Announces {
        KEY,
        MODEL,
        FEEDBACK,
        HINT,
        LABEL
    }

    public enum Trait {
        /** "Name ______ Date ______". */
        FILL_IN,
        /** "(i) All questions are compulsory.": it holds for the whole paper. */
        RULES,
        /** A text with numbered gaps. */
        CLOZE,
        /** "Questions 8-10" and nothing else. */
        RANGE_ONLY,
        /** "Questions:" and nothing else. */
        QUESTIONS_ONLY,
        /** "Circle T if the statement is true." between numbered questions: it is for those below. */
        GROUP_HEAD,
        /** "Choices:" and nothing else. */
        OPTIONS_ONLY,
        /** "Text B": the title of a passage. */
        PASSAGE_HEAD,
        /** "True or false", "Short answers": it says how the next questions are answered. */
        TYPE_HEAD,
        /** "Quiz", "Unit test": it says what kind of paper this is. */
        TEST_WORD,
        /** "College", "School": it says whose paper this is. */
        SCHOOL_WORD,
        /** "Sure! Here is a quiz:": whoever wrote it speaks to the teacher. */
        PREFACE,
        /** "for t in [18, 20]:": a line of a program. */
        CODE,
        /** Nothing but a rule or ornament. */
        RULE,
        /** A rule of underscores or dots, to write on. */
        WRITING_LINE,
        /** A printed line without room for the first word of the next. */
        FULL,
        SECTION_WORD,
        /** Heads an exercise that counts in its own way, or is one question. */
        EXERCISE_HEAD,
        /** "Figure 2" and nothing else. */
        CAPTION,
        /** "OR" between a question and the one to be answered instead. */
        OR_LINE,
        /** "OR" between two lettered parts: one of them is to be answered. */
        ONE_WILL_DO,
        /** "Grammar" over "3 Choose the correct form." */
        PART_NAME,
        /** "TRUE  if the statement agrees …": it says when to write a word. */
        LEGEND,
        INSTRUCTION_WORD,
        PASSAGE_WORD,
        RANGE,
        POINTS_ONLY,
        POINTS_EACH,
        END_WORD,
        JUDGEMENT_WORD,
        /** The only judgement word around: an answer, not an option. */
        LONE_JUDGEMENT,
        QUESTION_MARK,
        COLON,
        GAP,
        BOLD,
        UNDERLINED,
        ITALIC,
        HEADING,
        CAPITALS,
        CENTERED,
        STARTS_LOWER,
        ENDS_SENTENCE,
        FIGURE_ONLY,
        /** In a table, or parted by tabs as if it were. */
        TABULAR,
        /** Columns kept apart by wide spaces. */
        SPACED,
        OFF_BODY,
        /** Stands apart from the line above, though the page's edge hides the space between. */
        APART,
        SHORT,
        LONG
    }

    public boolean is(Trait trait) {
        return traits.contains(trait);
    }

    public boolean announces(Announces what) {
        return lead.filter(l -> l.announces() == what).isPresent();
    }

    /** Whether its beginning may be understood as such a label. */
    public boolean has(Label.Kind kind) {
        // Asked of every piece again and again: a loop costs a tenth of a stream.
        for (Label label : labels) {
            if (label.kind() == kind) {
                return true;
            }
        }
        return false;
    }

    /** Whether nearly all letters and digits of the piece carry the emphasis. */
    public boolean isMostly(Emphasis emphasis) {
        return line.isMostly(emphasis, piece.segment().from(), piece.segment().to());
    }

    /** The number that it begins with, if it does. */
    public Optional<Label> number() {
        for (Label label : labels) {
            if (label.kind() == Label.Kind.NUMBER) {
                return Optional.of(label);
            }
        }
        return Optional.empty();
    }

    public int spaceBefore() {
        int hidden = is(Trait.APART) ? 1 : 0;
        return piece.first() ? Math.max(hidden, line.layout().spaceBefore()) : 0;
    }

    /** The same piece with its beginning understood in these ways. */
    public Cues withLabels(List<Label> other) {
        return new Cues(piece, line, text, margin, List.copyOf(other), sign, lead, words, traits);
    }

    /** The same piece with an answer, or room for one, left of its number. */
    public Cues withMargin(Margin other) {
        return new Cues(piece, line, text, Optional.of(other), labels, sign, lead, words, traits);
    }

    /** The same piece as one that a sign before it marks right. */
    public Cues withSign(Sign other) {
        return new Cues(piece, line, text, margin, List.of(), Optional.of(other), lead, words, traits);
    }

    /** The same piece as an option whose box stands behind it, from that place on. */
    public Cues withBoxBehind(int from, boolean ticked) {
        int start = piece.segment().from();
        Label box = new Label(Label.Kind.BOX, 0, ticked ? "[x]" : "[ ]", Label.Kind.BOX.name(), start, start);
        Sign end = new Sign(from, piece.segment().to(), ticked);
        return new Cues(piece, line, text, margin, List.of(box), Optional.of(end), lead, words, traits);
    }

    /** The same piece as one that announces something. */
    public Cues withLead(Lead other) {
        return new Cues(piece, line, text, margin, labels, sign, Optional.of(other), words, traits);
    }

    /** The same piece as an answer, all of it, whatever it begins with. */
    public Cues asAnswer() {
        return withLabels(List.of())
                .withLead(new Lead(Announces.KEY, piece.segment().from()));
    }

    /** Whether any piece of the text itself has a number before it. */
    public static boolean areNumbered(List<Cues> all) {
        return all.stream().anyMatch(cues -> cues.has(Label.Kind.NUMBER) && !cues.is(Trait.OFF_BODY));
    }

    /** The same piece as one that announces nothing. */
    public Cues withoutLead() {
        return new Cues(piece, line, text, margin, labels, sign, Optional.empty(), words, traits);
    }

    /** Where the text behind the label, or behind the sign, begins in the line. */
    public int contentStart(Optional<Label> label) {
        if (label.isPresent()) {
            return label.get().end();
        }
        int start = sign.filter(s -> s.from() == piece.segment().from())
                .map(Sign::to)
                .orElse(piece.segment().from());
        return Math.min(start, piece.segment().to());
    }

    /** Where the text before a sign at the end stops in the line. */
    public int contentEnd() {
        int start = piece.segment().from();
        return sign.filter(s -> s.from() > start)
                .map(Sign::from)
                .orElse(piece.segment().to());
    }

    /** A heading, or short and set as one. */
    public boolean looksLikeHeading() {
        return is(Trait.SECTION_WORD) || is(Trait.HEADING) || is(Trait.SHORT) && (is(Trait.BOLD) || is(Trait.CAPITALS));
    }
}
