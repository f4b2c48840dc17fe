package org.tidyleaf.reading.block;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.tidyleaf.reading.line.Directions;
import org.tidyleaf.reading.line.FullLines;
import org.tidyleaf.reading.line.JudgedBy;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Blocks;
import org.tidyleaf.reading.model.Cues;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;

/**
 * "Read the text and answer the questions.", its title, paragraphs of running text, perhaps counted, a line on where it is from,
 * and then a number: all that is above the number is one passage.
 */
final class TextsToRead {

    private static final int LONGEST_LEAD = 160;
    private static final int MOST_WRAPPED = 2;
    private static final int MOST_FEET = 3;
    private static final int MOST_DIRECTIONS = 2;

    /** "(Adapted from …)", "* skep: a hive of straw", "(96 words)". */
    private static final Pattern FOOT =
            Pattern.compile("[(\\[].{3,120}[)\\]]\\.?|[*\u2020\u2021\u00b9\u00b2\u00b3].{2,120}");

    private static final Pattern PARAGRAPH = Pattern.compile(
            "\\s*(?:[(\\[]?(?<number>\\d{1,2})[)\\].]?|[(\\[]?(?<letter>[A-H])[)\\].]?)\\s+(?=[\\p{Lu}\u00bf\u00a1\"\u201c\u201e\u00ab].*)");

    private static final Pattern ENDS =
            Pattern.compile("(?s).*[.!\u2026][\"'\u201d\u2019\u00bb)]?(?:\\s*\\([^()]{2,80}\\))?\\s*");

    private static final Pattern SENTENCE_END = Pattern.compile("\\p{L}[.!](?=\\s|$)");

    private static final int SEVERAL = 2;

    /** "Text A", "Source 2: From a diary". */
    private static final Pattern NAMED = Vocabulary.pattern(
            Vocabulary.ALL.either("passage_head") + "\\s+(?:(?-i:[A-H])|\\d{1,2})\\s*(?:[:.\u2013-]\\s.{2,100})?");

    private final List<Cues> all;
    private final Map<Integer, Blocks.Kind> found = new HashMap<>();

    /** Whether texts are parts of the paper, each of which counts its questions anew. */
    private final boolean parts;

    /** Whether anything heads parts of the paper, so that what is bold need not be the title of a text. */
    private final boolean headed;

    private TextsToRead(List<Cues> all) {
        this.all = all;
        this.headed = all.stream().anyMatch(cues -> cues.is(Trait.SECTION_WORD) || cues.is(Trait.TYPE_HEAD));
        this.parts = IntStream.range(0, all.size())
                        .filter(this::isNamed)
                        .filter(piece -> number(end(piece + 1))
                                .filter(label -> label.ordinal() == 1)
                                .isPresent())
                        .count()
                > 1;
    }

    /** Behind the running text that begins at a piece. */
    private int end(int from) {
        int end = from;
        while (end < all.size() && (isBody(end, end - from + 1) || end > from && isWrapped(end))) {
            end++;
        }
        return end;
    }

    private Optional<Label> number(int piece) {
        return piece < all.size() ? all.get(piece).number() : Optional.empty();
    }

    private boolean isNamed(int piece) {
        Cues cues = all.get(piece);
        return Vocabulary.ALL.mentions(cues.words(), "passage_head")
                && NAMED.matcher(cues.text()).matches()
                && isBodyAt(piece + 1);
    }

    private boolean isBelowHead(int piece) {
        return piece > 0 && all.get(piece - 1).is(Trait.SECTION_WORD);
    }

    /** The pieces of such passages: which begin one and which go on with it. */
    static Map<Integer, Blocks.Kind> find(List<Cues> all) {
        TextsToRead texts = new TextsToRead(all);
        for (int i = 0; i < all.size(); i++) {
            if (texts.isLead(i) || texts.isTitleOfTale(i)) {
                i = Math.max(i, texts.below(i));
            }
        }
        return texts.found;
    }

    private boolean isLead(int piece) {
        Cues cues = all.get(piece);
        return cues.is(Trait.PASSAGE_WORD)
                && isOrdinary(cues)
                && cues.labels().isEmpty()
                && !isBodyAt(piece - 1)
                && !cues.is(Trait.QUESTION_MARK)
                && !cues.is(Trait.SECTION_WORD)
                && !cues.is(Trait.RULES)
                && JudgedBy.in(cues.text()).isEmpty()
                && !Directions.HEAD.matcher(cues.text()).lookingAt()
                && cues.text().length() < LONGEST_LEAD;
    }

    /** "Text 2: The salt road", or a few words below the name of a part, over a tale. */
    private boolean isTitleOfTale(int piece) {
        Cues cues = all.get(piece);
        boolean named = isNamed(piece) && (!parts || isBelowHead(piece));
        boolean titled = named
                || !isNamed(piece)
                        && isTitle(piece)
                        && !cues.is(Trait.SECTION_WORD)
                        && !cues.is(Trait.TYPE_HEAD)
                        && !cues.is(Trait.TEST_WORD)
                        && !cues.is(Trait.SCHOOL_WORD)
                        && !cues.is(Trait.INSTRUCTION_WORD)
                        && cues.labels().isEmpty()
                        && (isBelowHead(piece) || (isPlain(cues) || !headed) && standsAlone(piece));
        return titled && isOrdinary(cues) && isTale(piece + 1);
    }

    /** No text that it goes on with, and no number that it is below. */
    private boolean standsAlone(int piece) {
        return !isBodyAt(piece - 1)
                && (piece == 0 || all.get(piece - 1).labels().isEmpty());
    }

    private static boolean isPlain(Cues cues) {
        return !cues.is(Trait.BOLD)
                && !cues.is(Trait.HEADING)
                && !cues.is(Trait.CAPITALS)
                && !cues.is(Trait.UNDERLINED)
                && !cues.is(Trait.FILL_IN);
    }

    private boolean isBodyAt(int piece) {
        return piece >= 0 && piece < all.size() && isBody(piece, 1);
    }

    /** Several sentences that tell nobody what to do. */
    private boolean isTale(int from) {
        int sentences = 0;
        for (Cues cues : all.subList(from, end(from))) {
            if (cues.is(Trait.INSTRUCTION_WORD)
                    || cues.is(Trait.RULES)
                    || PointsFinder.each(cues.text()).isPresent()) {
                return false;
            }
            sentences += (int)
                    SENTENCE_END.matcher(cues.text()).results().limit(SEVERAL).count();
        }
        return sentences >= SEVERAL;
    }

    private static boolean isOrdinary(Cues cues) {
        return !cues.is(Trait.OFF_BODY)
                && cues.lead().isEmpty()
                && !cues.is(Trait.GAP)
                && cues.line()
                        .layout()
                        .cell()
                        .filter(cell -> cell.columns() > 1)
                        .isEmpty();
    }

    /** Takes the passage below a lead; its last piece, or the lead's where there is none. */
    private int below(int lead) {
        int at = lead;
        while (isLead(lead)
                && at < lead + MOST_WRAPPED
                && !ends(at)
                && at + 1 < all.size()
                && isOrdinary(all.get(at + 1))) {
            at++;
        }
        int first = at + 1;
        if (isLead(lead) && isTitle(first)) {
            first++;
        }
        int end = end(first);
        int body = end;
        while (end < all.size() && end < body + MOST_FEET && isFoot(end)) {
            end++;
        }
        boolean passage = body > first && ends(body - 1) && isAskedBelow(behindDirections(end), first);
        if (!passage) {
            return lead;
        }
        found.put(lead, Blocks.Kind.PASSAGE);
        for (int i = lead + 1; i < end; i++) {
            found.put(i, Blocks.Kind.PASSAGE_ON);
        }
        return end - 1;
    }

    private boolean ends(int piece) {
        String text = all.get(piece).text();
        return ENDS.matcher(text).matches() || text.endsWith(":");
    }

    private boolean isTitle(int piece) {
        return piece + 1 < all.size()
                && isOrdinary(all.get(piece))
                && all.get(piece).text().length() < FullLines.LEAST
                && !all.get(piece + 1).is(Trait.STARTS_LOWER)
                && !all.get(piece).is(Trait.QUESTION_MARK)
                && !ends(piece)
                && paragraph(piece).isEmpty()
                && isBody(piece + 1, 1);
    }

    /**
     * Whether a piece is running text.
     *
     * @param place its place among the paragraphs, from 1, which may be printed before it
     */
    private boolean isBody(int piece, int place) {
        Cues cues = all.get(piece);
        boolean running = isOrdinary(cues)
                && (cues.text().length() > FullLines.LEAST || cues.is(Trait.FULL))
                && !cues.is(Trait.QUESTION_MARK)
                && !cues.is(Trait.COLON);
        return running && (cues.labels().isEmpty() && paragraph(piece).isEmpty() || isCounted(piece, place));
    }

    /** The last word of a paragraph, alone on its line. */
    private boolean isWrapped(int piece) {
        Cues cues = all.get(piece);
        return !ends(piece - 1)
                && ends(piece)
                && isOrdinary(cues)
                && cues.labels().isEmpty()
                && !cues.is(Trait.COLON);
    }

    private boolean isCounted(int piece, int place) {
        return ends(piece) && paragraph(piece).filter(number -> number == place).isPresent();
    }

    /** The number or letter that a paragraph begins with. */
    private Optional<Integer> paragraph(int piece) {
        Matcher label = PARAGRAPH.matcher(all.get(piece).line().text());
        if (!label.lookingAt()) {
            return Optional.empty();
        }
        String letter = label.group("letter");
        return Optional.of(letter == null ? Integer.parseInt(label.group("number")) : letter.charAt(0) - 'A' + 1);
    }

    private boolean isFoot(int piece) {
        Cues cues = all.get(piece);
        return cues.line().layout().cell().isEmpty()
                && !cues.is(Trait.OFF_BODY)
                && !cues.is(Trait.POINTS_ONLY)
                && !cues.is(Trait.POINTS_EACH)
                && !cues.has(Label.Kind.NUMBER)
                && FOOT.matcher(cues.text()).matches();
    }

    /** Behind "Answer in complete sentences.", which may stand between a text and what is asked of it. */
    private int behindDirections(int from) {
        int piece = from;
        while (piece + 1 < all.size() && piece < from + MOST_DIRECTIONS && directs(all.get(piece))) {
            piece++;
        }
        return piece;
    }

    private static boolean directs(Cues cues) {
        return isOrdinary(cues)
                && cues.labels().isEmpty()
                && cues.is(Trait.SHORT)
                && cues.is(Trait.INSTRUCTION_WORD)
                && (cues.is(Trait.ENDS_SENTENCE) || cues.is(Trait.COLON));
    }

    /** A number right below, and none that goes on with numbers of the paragraphs. */
    private boolean isAskedBelow(int piece, int first) {
        Optional<Label> number = number(piece);
        boolean counted = all.get(first).labels().stream()
                .anyMatch(label -> number.filter(asked -> asked.shape().equals(label.shape()))
                        .isPresent());
        return number.isPresent() && !counted;
    }
}
