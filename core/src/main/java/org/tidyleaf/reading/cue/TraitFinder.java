package org.tidyleaf.reading.cue;

import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.tidyleaf.reading.line.CodeLines;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Cues.Trait;
import org.tidyleaf.reading.wording.GapSigns;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.reading.wording.Words;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Segment;

/** Everything about a piece that is either so or not: what words it has, and how it looks. */
public final class TraitFinder {

    private static final Vocabulary WORDS = Vocabulary.ALL;

    /** Headings, labels and page furniture are shorter than this. */
    private static final int SHORT = 70;

    /** Passages and explanations are longer than this. */
    private static final int LONG = 220;

    private static final int EARLY = 40;

    /** No rule to write on is longer; a line of nothing but dots would keep the patterns busy for minutes. */
    private static final int LONGEST_SEARCHED = 2000;

    private static final Pattern FAR_APART = Pattern.compile("\\t|\\s{4,}");

    /** Pictures typed before a word, as chat assistants like them. */
    static final Pattern DECORATION = Pattern.compile("(?:[\\p{So}\ufe0f\u200d]\\s*)+(?=\\p{L})");

    private static final Pattern FILL_IN = Vocabulary.pattern(
            "\\b" + WORDS.either("fill") + "(?:\\b|(?<=^.{0,20})\\.)[^_.\u2026]{0,14}(?:_{3,}|\\.{5,}|\u2026{2,})");

    private static final Pattern FILL_IN_BARE =
            Vocabulary.pattern("(?:" + WORDS.either("fill") + "\\s*:\\s*(?:/\\s*\\d+)?\\s*){1,6}");

    private static final Pattern RULE = Pattern.compile(
            "([~=*_\\-\u2013\u2014#.\u2022\u00b7+|])\\1[~=*_\\-\u2013\u2014#.\u2022\u00b7+|]*.{0,40}?[~=*_\\-\u2013\u2014#.\u2022\u00b7+|]*\\1\\1|[~=*\\-\u2013\u2014#|+]{2,}");

    /** A bullet whose own line is empty: a list within it goes on below. */
    private static final Pattern LONE_BULLET = Pattern.compile("[\u2022\u25e6\u25aa\u25cf\u2043\u00b7\u2013-]");

    /** A rule to write on, with a unit behind it perhaps. */
    static final Pattern WRITING = Pattern.compile(
            "(?:[_.\u2026]{3,}\\s*[,;<>\u2192-]?\\s*)+[^\\s_.\u2026?!]{0,10}|(?:\\d{1,2}\\s*[.):-]?\\s*[_.\u2026]{2,}\\s*){2,}|\\[\\s{5,}]");

    /** "Answer ________ %      (3)": the same behind its word, with what it is worth. */
    private static final Pattern ANSWER_ROOM = Vocabulary.pattern(WORDS.either("answer")
            + "\\s+[_.\u2026]{4,}\\s*[^\\s_.\u2026?!()\\[\\]]{0,10}\\s*(?:[(\\[]\\d{1,2}(?:\\s?\\p{L}{1,8})?[)\\]])?");

    /** "Working: ________": room beside the answer's own. */
    private static final Pattern WORKING_ROOM =
            Vocabulary.pattern(WORDS.either("working") + "\\s*:?\\s*[_.\u2026]{4,}\\s*");

    /** "Correction: ________": room below a statement. */
    private static final Pattern CORRECTION_ROOM =
            Vocabulary.pattern(WORDS.either("correction") + "\\s*:?\\s*[_.\u2026]{4,}\\s*");

    /** "..... and .....": room for two answers on one line. */
    private static final Pattern TWO_ROOMS =
            Vocabulary.pattern("[_.\u2026]{4,}\\s*(?:" + WORDS.either("and") + "|&)\\s*[_.\u2026]{4,}\\s*\\.?");

    private static final Pattern SENTENCE_END = Pattern.compile("[.!?:;][\"'\u201d\u2019)\\]]?\\z");

    /** Words that announce a passage are no longer. */
    private static final int LONGEST_LEAD = 40;

    private static final Pattern SPACED = Pattern.compile("\\S\\s{3,}\\S");

    /** "… are (1) ______ .": gaps with the numbers of the questions that offer words for them. */
    static final Pattern CLOZE = Pattern.compile("[(\\[](\\d{1,3})[)\\]]\\s*[_.\u2026]{3,}");

    private static final Pattern CAPTION =
            Vocabulary.pattern(WORDS.either("caption") + "\\.?\\s+(?:\\d{1,2}(?:\\.\\d{1,2})?[a-d]?|[A-H])\\s*[.:]?");

    /** "Figure 1. Sign at the door". */
    public static final Pattern TITLED_CAPTION = Vocabulary.pattern(
            WORDS.either("caption") + "\\.?\\s+(?:\\d{1,2}(?:\\.\\d{1,2})?[a-d]?|[A-H])\\s*[.:\u2013-]\\s+[^?]{2,70}");

    private static final Pattern SECTION =
            Vocabulary.pattern(WORDS.either("section") + "(?:\\s{1,2}|\\s*[\u2013\u2014-]\\s*)(?:"
                    + WORDS.either("numbers") + "|[A-Z]|\\d{1,2}|[IVX]{1,5})(?:\\s*[:.)\u2013-]|\\s|$).*");

    private static final Pattern INSTRUCTION =
            Vocabulary.pattern("(?:.{0,60}[.!:(]\\s*)?(?:[^.!?,]{0,30}\\d{1,3}\\D{1,5}\\d{1,3},?\\s*)?"
                    + WORDS.either("instruction") + "\\b.*");

    private static final Pattern PASSAGE = Vocabulary.pattern("\\b" + WORDS.either("passage") + "\\b");

    public static final Pattern RANGE =
            Vocabulary.pattern(".*?\\b(\\d{1,3})\\s*(?:-|\u2013|\u2014|" + WORDS.either("to") + ")\\s*(\\d{1,3})\\b.*");

    /** "Write 1-4 on the lines.": places in an order. */
    private static final Pattern PLACES = Vocabulary.pattern(
            "(?:^|[.:!]\\s+)(?!" + WORDS.either("question") + "(?:s|n|en)?\\b)\\p{L}+\\s+1\\s?[-\u2013]\\s?\\d");

    private static final Pattern FAREWELL = Vocabulary.pattern("\\W{0,8}" + WORDS.either("farewell") + "\\b.*");

    /** "Here's a worksheet for you:" before everything else is said by whoever wrote it for the teacher. */
    private static final Pattern PREFACE = Vocabulary.pattern(
            "\\W{0,4}" + WORDS.either("preface") + "(?:[!,.]\\s|\\s)[^?]{3,200}(?:[.:!]\\W*|\\s[\\p{So}\ufe0f]+)");

    /** "[Total: 4]", "Total for question 3: 12 marks". */
    private static final Pattern TOTAL =
            Vocabulary.pattern("\\W*" + WORDS.either("total") + "\\W*(?:\\w{2,5}\\s+){0,2}(?:"
                    + WORDS.either("question") + "\\s*\\d{1,3})?[\\d\\W_]*(?:" + WORDS.either("points") + "\\W*)?");

    /** "Stop! This is the end of the test." has a word before it. */
    private static final Pattern END =
            Vocabulary.pattern("\\W{0,8}(?:\\p{L}{3,6}[.!]\\s+)?" + WORDS.either("end") + "\\b.*");

    private static final Pattern PASSAGE_HEAD =
            Vocabulary.pattern(WORDS.either("passage_head") + "(?:\\s+(?:[A-Z]|\\d{1,2}|[IVX]{1,4}))?\\s*[:.]?");

    /** A title with the date's blank far behind it is still a title. */
    private static final Pattern FAR_BEHIND = Pattern.compile("(\\S[^_|]{7,}?)(?:\\t|\\s{4,}|\\s+\\|\\s).*");

    private static final Pattern TYPE_HEAD =
            Vocabulary.pattern("(?:[IVX]{1,5}[.)]\\s*|[A-Z][.)]\\s*|\\d{1,2}\\.\\d{1,2}\\s+)?"
                    + WORDS.either("type_head") + "\\b(?:[^?]{0,60}|\\s*[-\u2013\u2014:.]\\s[^?]{0,140})");

    /** "Questions", "Fragen:" over the first of them. */
    private static final Pattern QUESTIONS_ONLY =
            Vocabulary.pattern("(?:the\\s+)?" + Vocabulary.ALL.either("question") + "(?:s|n|en)?\\s*:?");

    /** "[2]" and nothing else. */
    private static final Pattern BRACKETED = Pattern.compile("\\[\\d{1,2}]|\\(\\d{1,2}\\)");

    /** "Choices:" over the first of them. */
    private static final Pattern OPTIONS_ONLY = Vocabulary.pattern(Vocabulary.ALL.either("options") + "\\s*:");

    /** "Questions 8-10" with nothing behind it. */
    private static final Pattern RANGE_ONLY = Vocabulary.pattern(
            "\\W*" + Vocabulary.ALL.either("question") + "(?:s|n|en)?\\s+\\d{1,3}\\s*(?:-|\u2013|\u2014|"
                    + Vocabulary.ALL.either("to") + ")\\s*\\d{1,3}\\s*[.:]?");

    private static final Pattern TICKED_BOX = Pattern.compile("^\\s*[(\\[]\\s?[xX]\\s?[)\\]]");

    private TraitFinder() {}

    /** The numbers of the gaps in a text, "(5) ____". */
    public static Set<Integer> numberedGaps(String text) {
        return CLOZE.matcher(text)
                .results()
                .map(gap -> Integer.parseInt(gap.group(1)))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    static Set<Trait> find(Line line, Segment segment, String text, Words words) {
        Set<Trait> traits = EnumSet.noneOf(Trait.class);
        words(text, words, traits);
        boolean preface = line.number() == 1
                && WORDS.mentions(words, "preface")
                && PREFACE.matcher(text).matches();
        add(traits, Trait.CODE, CodeLines.isCode(text));
        add(traits, Trait.PREFACE, preface);
        add(traits, Trait.END_WORD, preface);
        form(line, segment, text, traits);
        return traits;
    }

    /** A heading without the little pictures before it, which say nothing. */
    private static String undecorated(String text) {
        Matcher decoration = DECORATION.matcher(text);
        return decoration.lookingAt() ? text.substring(decoration.end()) : text;
    }

    private static void words(String text, Words words, Set<Trait> traits) {
        add(traits, Trait.FILL_IN, isFillIn(text, words) && !hasTitleBefore(text));
        add(
                traits,
                Trait.PASSAGE_HEAD,
                text.length() < EARLY && PASSAGE_HEAD.matcher(text).matches());
        add(
                traits,
                Trait.TYPE_HEAD,
                text.length() < LONG
                        && WORDS.mentions(words, "type_head")
                        && TYPE_HEAD.matcher(undecorated(text)).matches());
        add(
                traits,
                Trait.OPTIONS_ONLY,
                text.length() < SHORT
                        && text.endsWith(":")
                        && OPTIONS_ONLY.matcher(text).matches());
        add(
                traits,
                Trait.QUESTIONS_ONLY,
                text.length() < SHORT && QUESTIONS_ONLY.matcher(text).matches());
        add(
                traits,
                Trait.RANGE_ONLY,
                text.length() < SHORT
                        && text.chars().anyMatch(Character::isDigit)
                        && RANGE_ONLY.matcher(text).matches());
        add(traits, Trait.TEST_WORD, text.length() < SHORT * 2 && WORDS.mentions(words, "test_word"));
        add(traits, Trait.SCHOOL_WORD, WORDS.mentions(words, "school_word") && isOfSchool(text));
        boolean twoRooms =
                text.length() < LONGEST_SEARCHED && TWO_ROOMS.matcher(text).matches();
        add(
                traits,
                Trait.RULE,
                text.length() < LONGEST_SEARCHED
                        && !twoRooms
                        && (RULE.matcher(text).matches()
                                || isWorkingRoom(text, words)
                                || LONE_BULLET.matcher(text).matches()));
        add(
                traits,
                Trait.WRITING_LINE,
                text.length() < LONGEST_SEARCHED
                        && (WRITING.matcher(text).matches()
                                || WORDS.mentions(words, "correction")
                                        && CORRECTION_ROOM.matcher(text).matches()
                                || WORDS.mentions(words, "answer")
                                        && ANSWER_ROOM.matcher(text).matches()));
        add(
                traits,
                Trait.SECTION_WORD,
                text.length() < SHORT * 2
                        && WORDS.mentions(words, "section")
                        && SECTION.matcher(undecorated(text)).matches());
        add(
                traits,
                Trait.CAPTION,
                text.length() < EARLY
                        && WORDS.mentions(words, "caption")
                        && CAPTION.matcher(text).matches());
        add(
                traits,
                Trait.INSTRUCTION_WORD,
                WORDS.mentions(words, "instruction")
                        && INSTRUCTION.matcher(text).matches());
        // "Questions 1 to 3 carry 1 mark each." says what they are worth and is for no text.
        boolean worth = hasTwoNumbers(words) && !traits.contains(Trait.INSTRUCTION_WORD) && RangePoints.says(text);
        add(traits, Trait.RULES, worth);
        add(
                traits,
                Trait.RANGE,
                hasTwoNumbers(words)
                        && !worth
                        && RANGE.matcher(text).matches()
                        && (!WORDS.mentions(words, "order")
                                || !PLACES.matcher(text).find()));
        add(traits, Trait.PASSAGE_WORD, WORDS.mentions(words, "passage") && isAnnouncedEarly(text));
        boolean bracketed =
                text.length() <= "[10]".length() && BRACKETED.matcher(text).matches();
        add(
                traits,
                Trait.POINTS_ONLY,
                bracketed
                        || PointsFinder.isGroupTotal(text)
                        || PointsFinder.isMentioned(words, text) && PointsFinder.isPointsOnly(text));
        add(
                traits,
                Trait.POINTS_EACH,
                PointsFinder.isMentioned(words, text) && PointsFinder.each(text).isPresent());
        add(
                traits,
                Trait.END_WORD,
                text.length() < SHORT
                                && WORDS.mentions(words, "end")
                                && !isQuoted(text)
                                && END.matcher(text).matches()
                        || text.length() < LONG
                                && WORDS.mentions(words, "farewell")
                                && !GapSigns.mayBeIn(text)
                                && FAREWELL.matcher(text).matches()
                        || text.length() < EARLY
                                && WORDS.mentions(words, "total")
                                && TOTAL.matcher(text).matches());
        add(traits, Trait.JUDGEMENT_WORD, words.size() <= 2 && isJudgement(text));
        add(traits, Trait.QUESTION_MARK, text.endsWith("?"));
        add(traits, Trait.COLON, text.endsWith(":"));
        boolean signs = GapSigns.mayBeIn(text);
        add(traits, Trait.CLOZE, signs && CLOZE.matcher(text).find());
        add(
                traits,
                Trait.GAP,
                signs
                        && !isWorkingRoom(text, words)
                        && GapSigns.UNFILLED.matcher(text).find()
                        && NumberedRoom.forLetters(text).isEmpty());
    }

    private static boolean isWorkingRoom(String text, Words words) {
        return WORDS.mentions(words, "working") && WORKING_ROOM.matcher(text).matches();
    }

    /** "\u201cWell done!\u201d ____": what somebody says is nothing that the paper says. */
    private static boolean isQuoted(String text) {
        return "\"'\u201c\u201e\u00ab\u2018".indexOf(text.stripLeading().charAt(0)) >= 0;
    }

    /** What stands far behind is no part of a school's name. */
    private static boolean isOfSchool(String text) {
        String near = FAR_APART.split(text, 2)[0];
        return near.length() < SHORT && WORDS.mentions(Words.of(near), "school_word");
    }

    private static boolean isFillIn(String text, Words words) {
        return WORDS.mentions(words, "fill")
                && NumberedRoom.forLetters(text).isEmpty()
                && (FILL_IN.matcher(text).find() || FILL_IN_BARE.matcher(text).matches());
    }

    private static boolean hasTitleBefore(String text) {
        Matcher matcher = FAR_BEHIND.matcher(text);
        return matcher.matches()
                && WORDS.mentions(Words.of(matcher.group(1)), "test_word")
                && !isFillIn(matcher.group(1), Words.of(matcher.group(1)));
    }

    /** Words that announce a passage stand near the beginning of its lead. */
    private static boolean isAnnouncedEarly(String text) {
        Matcher matcher = PASSAGE.matcher(text)
                .region(0, Math.min(text.length(), EARLY + LONGEST_LEAD))
                .useTransparentBounds(true);
        return matcher.find() && matcher.start() <= EARLY;
    }

    private static boolean hasTwoNumbers(Words words) {
        return words.stream()
                        .filter(word -> Character.isDigit(word.charAt(0)))
                        .limit(2)
                        .count()
                == 2;
    }

    static boolean isJudgement(String text) {
        // "Which statement is … true?" asks and judges nothing.
        if (text.indexOf('?') >= 0) {
            return false;
        }
        String bare = TICKED_BOX
                .matcher(text)
                .replaceFirst("")
                .replaceAll("[^\\p{L} ]", "")
                .strip()
                .toLowerCase(Locale.ROOT);
        return WORDS.pairs().stream().anyMatch(pair -> pair[0].equals(bare) || pair[1].equals(bare));
    }

    private static void form(Line line, Segment segment, String text, Set<Trait> traits) {
        int from = Math.max(segment.from(), Math.min(line.labelEnd(), segment.to()));
        add(traits, Trait.BOLD, line.isMostly(Emphasis.BOLD, from, segment.to()));
        add(traits, Trait.UNDERLINED, line.isMostly(Emphasis.UNDERLINE, from, segment.to()));
        add(traits, Trait.ITALIC, line.isMostly(Emphasis.ITALIC, from, segment.to()));
        add(traits, Trait.HEADING, line.layout().isHeading());
        add(traits, Trait.CENTERED, line.layout().centered());
        add(
                traits,
                Trait.OFF_BODY,
                line.layout().place() != Place.BODY && line.layout().place() != Place.TEXT_BOX);
        add(traits, Trait.CAPITALS, isCapitals(text));
        add(traits, Trait.STARTS_LOWER, !text.isEmpty() && Character.isLowerCase(text.charAt(0)));
        add(traits, Trait.ENDS_SENTENCE, SENTENCE_END.matcher(text).find());
        add(traits, Trait.FIGURE_ONLY, text.chars().allMatch(c -> c == Line.FIGURE || Character.isWhitespace(c)));
        add(traits, Trait.TABULAR, line.layout().cell().isPresent() || text.split("\t", 4).length >= 3);
        add(traits, Trait.SPACED, SPACED.matcher(text).find());
        add(traits, Trait.SHORT, text.length() < SHORT);
        add(traits, Trait.LONG, text.length() > LONG);
    }

    private static boolean isCapitals(String text) {
        long letters = text.chars().filter(Character::isLetter).count();
        return letters >= 5 && text.chars().noneMatch(Character::isLowerCase);
    }

    private static void add(Set<Trait> traits, Trait trait, boolean present) {
        if (present) {
            traits.add(trait);
        }
    }
}
