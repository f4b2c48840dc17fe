package org.tidyleaf.reading;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.tidyleaf.reading.Cues.Announces;
import org.tidyleaf.reading.Cues.Lead;
import org.tidyleaf.reading.Cues.Margin;
import org.tidyleaf.reading.Cues.Sign;
import org.tidyleaf.reading.Cues.Trait;
import org.tidyleaf.source.Emphasis;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Place;
import org.tidyleaf.source.Segment;
import org.tidyleaf.source.Source;

/** Looks at each piece by itself and notes what can be seen, without deciding what it is. */
final class CueFinder {

    /** Headings, labels and page furniture are shorter than this. */
    private static final int SHORT = 70;

    /** Passages and explanations are longer than this. */
    private static final int LONG = 220;

    private static final int EARLY = 40;

    /** No rule to write on is longer; a line of nothing but dots would keep the patterns busy for minutes. */
    private static final int LONGEST_SEARCHED = 2000;

    private static final Vocabulary WORDS = Vocabulary.ALL;
    private static final String DELIMITER = "\\s*(?:\\.?[:=]|\\.(?=\\s)|\\s[-\u2013](?=\\s))\\s*";

    private static final Pattern FAR_APART = Pattern.compile("\\t|\\s{4,}");

    /** Pictures typed before a word, as chat assistants like them. */
    private static final Pattern DECORATION = Pattern.compile("(?:[\\p{So}\ufe0f\u200d]\\s*)+(?=\\p{L})");

    private static final Pattern SIGN_BEFORE = Pattern.compile(
            "(?:\\*{1,2}(?=\\s?(?:[(\\[]?[A-Za-z0-9]|[\u2022\u2023\u25aa\u25e6\u25cb\u25ef\u2610\u25a1]|[-\u2013]\\s))|[\u2713\u2714\u2705\u2611\u2192\u2605\u2606\u25ba\u274c]\ufe0f?)\\s*");
    private static final Pattern SIGN_AFTER =
            Vocabulary.pattern("\\s*(?:\\*{1,2}|[\u2713\u2714\u2705\u2611\u2605\u274c]\ufe0f?|(?:<-+|\u2190)(?:\\s*"
                    + WORDS.either("correct") + ")?|[(\\[]\\s*(?:"
                    + WORDS.either("correct", "answer") + "|x|\u2713|\u2714|\\*)\\s*[)\\]]|" + Verdicts.VERDICT
                    + ")\\s*$");
    private static final Pattern PERCENT_AFTER = Pattern.compile("\\s*[(\\[]\\s*[+-]?(\\d{1,3})\\s*%\\s*[)\\]]\\s*$");
    /** What stands in the margin has a question's number right behind it. */
    private static final String NUMBER_BEHIND = "(?=(?:" + WORDS.either("question") + "\\.?\\s*|#)?[(\\[]?\\d)";

    private static final Pattern MARGIN_BLANK = Vocabulary.pattern("_++\\s*(?:(" + WORDS.either("true", "false") + "|"
            + AnswerParser.OPTION_NAMES + ")\\s*_++\\s*)?" + NUMBER_BEHIND);
    /** "( V ) 1. Bees sleep.", "(   ) 2. …": brackets before the number to write the answer in. */
    private static final Pattern MARGIN_BRACKETS =
            Vocabulary.pattern("[(\\[]\\s*((?-i:[A-Z]))?\\s*[)\\]]\\s+(?=\\d{1,3}\\s?[.)]\\s|(?:"
                    + WORDS.either("question") + ")\\.?\\s*\\d)");

    private static final Pattern MARGIN_BARE = Pattern.compile("([TF])\\s+(?=\\d{1,3}[.)]\\s)");

    /** "[Easy] 3. …": a label of the author's before the number. */
    private static final Pattern MARGIN_LABEL =
            Pattern.compile("\\[\\p{L}[\\p{L} ]{1,14}]\\s+(?=[(\\[]?\\d{1,3}[.):])");

    private static final Pattern MARGIN_PAIR =
            Vocabulary.pattern("(?-i:[(\\[]?([TVRWJP])\\s*[/|]?\\s*([FO])[)\\]]?)\\s+" + NUMBER_BEHIND);
    private static final Pattern FILL_IN =
            Vocabulary.pattern("\\b" + WORDS.either("fill") + "\\b[^_.\u2026]{0,14}(?:_{3,}|\\.{5,}|\u2026{2,})");
    private static final Pattern FILL_IN_BARE =
            Vocabulary.pattern("(?:" + WORDS.either("fill") + "\\s*:\\s*(?:/\\s*\\d+)?\\s*){1,6}");
    private static final Pattern RULE = Pattern.compile(
            "([~=*_\\-\u2013\u2014#.\u2022\u00b7+|])\\1[~=*_\\-\u2013\u2014#.\u2022\u00b7+|]*.{0,40}?[~=*_\\-\u2013\u2014#.\u2022\u00b7+|]*\\1\\1|[~=*\\-\u2013\u2014#|+]{2,}");
    /** A bullet whose own line is empty: a list within it goes on below. */
    private static final Pattern LONE_BULLET = Pattern.compile("[\u2022\u25e6\u25aa\u25cf\u2043\u00b7\u2013-]");

    /** A rule to write on, with a unit behind it perhaps. */
    private static final Pattern WRITING = Pattern.compile(
            "(?:[_.\u2026]{3,}\\s*[,;<>\u2192-]?\\s*)+[^\\s_.\u2026?!]{0,10}|(?:\\d{1,2}\\s*[.):-]?\\s*[_.\u2026]{2,}\\s*){2,}|\\[\\s{5,}]");

    private static final Pattern SENTENCE_END = Pattern.compile("[.!?:;][\"'\u201d\u2019)\\]]?\\z");

    /** Words that announce a passage are no longer. */
    private static final int LONGEST_LEAD = 40;

    private static final Pattern SPACED = Pattern.compile("\\S\\s{3,}\\S");

    private static final Pattern GAP = Pattern.compile(
            "_{3,}|_{1,2}(?: _{1,2}){2,400}|\\.{5,}|\\.(?: \\.){4,400}|\u2026{2,}|\\[(?:\\s{2,}|\\t)]|\\((?:\\s{2,}|\\t)\\)");
    /** "… are (1) ______ .": gaps with the numbers of the questions that offer words for them. */
    private static final Pattern CLOZE = Pattern.compile("[(\\[](\\d{1,3})[)\\]]\\s*[_.\u2026]{3,}");

    private static final Pattern SECTION = Vocabulary.pattern(WORDS.either("section") + "\\s{1,2}(?:"
            + WORDS.either("numbers") + "|[A-Z]|\\d{1,2}|[IVX]{1,5})(?:\\s*[:.)\u2013-]|\\s|$).*");
    private static final Pattern INSTRUCTION =
            Vocabulary.pattern("(?:.{0,60}[.!:(]\\s*)?" + WORDS.either("instruction") + "\\b.*");
    private static final Pattern PASSAGE = Vocabulary.pattern("\\b" + WORDS.either("passage") + "\\b");
    static final Pattern RANGE =
            Vocabulary.pattern(".*?\\b(\\d{1,3})\\s*(?:-|\u2013|\u2014|" + WORDS.either("to") + ")\\s*(\\d{1,3})\\b.*");
    private static final Pattern FAREWELL = Vocabulary.pattern("\\W{0,8}" + WORDS.either("farewell") + "\\b.*");
    /** "Here's a worksheet for you:" before everything else is said by whoever wrote it for the teacher. */
    private static final Pattern PREFACE = Vocabulary.pattern(
            "\\W{0,4}" + WORDS.either("preface") + "(?:[!,.]\\s|\\s)[^?]{3,200}(?:[.:!]\\W*|\\s[\\p{So}\ufe0f]+)");

    /** "[Total: 4]", "Total for question 3: 12 marks". */
    private static final Pattern TOTAL = Vocabulary.pattern("\\W*" + WORDS.either("total") + "\\W*(?:\\w{2,5}\\s+)?(?:"
            + WORDS.either("question") + "\\s*\\d{1,3})?[\\d\\W_]*(?:" + WORDS.either("points") + "\\W*)?");

    private static final Pattern END = Vocabulary.pattern("\\W{0,8}" + WORDS.either("end") + "\\b.*");
    private static final Pattern LEAD =
            Vocabulary.pattern("[(\\[]?(" + WORDS.either("answer", "list", "model", "feedback", "hint", "label") + ")"
                    + "(?:\\s*\\([^)]{1,40}\\)|\\s+(?:to|for|of)\\s[^:=]{1,24}(?=:))?" + DELIMITER);

    /** "R : B": the word for an answer by its first letter alone; "R = 4" is a formula. */
    private static final Pattern INITIAL_LEAD =
            Vocabulary.pattern(Vocabulary.ALL.either("answer_initial") + "\\s?:\\s*(?=\\S)");

    /** "The correct answer is: c": a sentence needs no colon. */
    private static final Pattern SENTENCE_LEAD =
            Vocabulary.pattern(WORDS.either("answer_sentence") + "\\s*:?\\s+(?=\\S)");

    /** "-> gut" below a question. */
    private static final Pattern ARROW =
            Pattern.compile("\\s*(?:(?:->|=>|--+>|>>)\\s*(?=\\S)|\u2192\\s*(?=[A-Ha-h][).]?\\s*$))");

    private static final Pattern PASSAGE_HEAD =
            Vocabulary.pattern(WORDS.either("passage_head") + "(?:\\s+(?:[A-Z]|\\d{1,2}|[IVX]{1,4}))?\\s*[:.]?");

    /** A title with the date's blank far behind it is still a title. */
    private static final Pattern FAR_BEHIND = Pattern.compile("(\\S[^_|]{7,}?)(?:\\t|\\s{4,}|\\s+\\|\\s).*");

    private static final Pattern TYPE_HEAD =
            Vocabulary.pattern("(?:[IVX]{1,5}[.)]\\s*|[A-Z][.)]\\s*|\\d{1,2}\\.\\d{1,2}\\s+)?"
                    + WORDS.either("type_head") + "\\b(?:[^?]{0,60}|\\s*[-\u2013\u2014:.]\\s[^?]{0,140})");

    /** The line breaks between the words of "True / False". */
    private static final Pattern HALF_PAIR = Pattern.compile("(?:/|[\u2610\u25a1\u25cb\u25ef]|\\[\\s?])\\s*$");

    /** "Questions", "Fragen:" over the first of them. */
    private static final Pattern QUESTIONS_ONLY =
            Vocabulary.pattern("(?:the\\s+)?" + Vocabulary.ALL.either("question") + "(?:s|n|en)?\\s*:?");

    /** A word of a programming language and its signs, or a statement's end. */
    private static final Pattern CODE = Pattern.compile(
            "(?:for|if|elif|else|while|def|class|return|print|import|int|float|double|char|String|var|let|const|public|private|void|function|SELECT|INSERT|UPDATE)\\b(?=.*[(){}\\[\\]=;]).*|[^?]*[;{}]");

    /** "[2]" and nothing else. */
    private static final Pattern BRACKETED = Pattern.compile("\\[\\d{1,2}]|\\(\\d{1,2}\\)");

    /** "Choices:" over the first of them. */
    private static final Pattern OPTIONS_ONLY = Vocabulary.pattern(Vocabulary.ALL.either("options") + "\\s*:");

    /** "Questions 8-10" with nothing behind it. */
    private static final Pattern RANGE_ONLY = Vocabulary.pattern(
            "\\W*" + Vocabulary.ALL.either("question") + "(?:s|n|en)?\\s+\\d{1,3}\\s*(?:-|\u2013|\u2014|"
                    + Vocabulary.ALL.either("to") + ")\\s*\\d{1,3}\\s*[.:]?");

    private CueFinder() {}

    static List<Cues> find(Source source, List<Piece> pieces) {
        List<Cues> all = new ArrayList<>(pieces.size());
        for (Piece piece : pieces) {
            all.add(find(source.line(piece.segment().line()), piece));
        }
        FullLines.mark(all);
        markLoneJudgements(all);
        WordsAsBullets.unlabel(all);
        BareLetters.label(all);
        NumberedGaps.label(all);
        IndentedNumbers.label(all);
        BoxesBehind.label(all);
        BlankBoxes.label(all);
        ListedOptions.label(all);
        SlashedOptions.label(all);
        WideOptions.label(all);
        ClozeNumbers.label(all);
        BareNumbers.label(all);
        WrappedWords.mark(all);
        AnswerLetters.mark(all);
        PairKeys.mark(all);
        PointsAlone.mark(all);
        FilledMarks.mark(all);
        FarLetters.mark(all);
        OddSigns.mark(all);
        LabelLines.mark(all);
        PageTops.mark(all);
        Verdicts.mark(all);
        JudgementLegends.mark(all);
        PassageTitles.mark(all);
        GroupHeads.mark(all);
        withoutLoneClozes(all);
        return all;
    }

    /** Numbered gaps make a passage only where questions with their numbers stand below. */
    private static void withoutLoneClozes(List<Cues> all) {
        Set<Integer> below = new HashSet<>();
        for (int i = all.size() - 1; i >= 0; i--) {
            Cues cues = all.get(i);
            if (cues.is(Trait.CLOZE)) {
                Set<Integer> gaps = numberedGaps(cues.text());
                long asked = gaps.stream().filter(below::contains).count();
                if (asked * 2 < gaps.size()) {
                    cues.traits().remove(Trait.CLOZE);
                }
            }
            cues.labels().stream()
                    .filter(label -> label.kind() == Label.Kind.NUMBER)
                    .forEach(label -> below.add(label.ordinal()));
        }
    }

    /** The numbers of the gaps in a text, "(5) ____". */
    static Set<Integer> numberedGaps(String text) {
        return CLOZE.matcher(text)
                .results()
                .map(gap -> Integer.parseInt(gap.group(1)))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static void markLoneJudgements(List<Cues> all) {
        for (int i = 0; i < all.size(); i++) {
            // "… True /" wraps: the word below it is half of the pair.
            if (i > 0
                    && all.get(i).is(Trait.JUDGEMENT_WORD)
                    && HALF_PAIR.matcher(all.get(i - 1).text()).find()) {
                all.get(i).traits().remove(Trait.JUDGEMENT_WORD);
            }
            boolean above = i > 0 && all.get(i - 1).is(Trait.JUDGEMENT_WORD);
            boolean below = i + 1 < all.size() && all.get(i + 1).is(Trait.JUDGEMENT_WORD);
            add(all.get(i).traits(), Trait.LONE_JUDGEMENT, all.get(i).is(Trait.JUDGEMENT_WORD) && !above && !below);
        }
    }

    private static Cues find(Line line, Piece piece) {
        Segment segment = piece.segment();
        String text = line.text().substring(segment.from(), segment.to()).strip();
        Words words = Words.of(text);
        Optional<Lead> announced = lead(line, segment, words);
        boolean room = announced.filter(l -> isRoom(line, segment, l)).isPresent();
        Optional<Lead> lead = room ? Optional.empty() : announced;
        // "✅ Answer: B": what decorates a word that announces something marks nothing itself.
        Optional<Sign> before = lead.isPresent() ? Optional.empty() : signBefore(line, segment);
        Optional<Margin> margin = before.isPresent() ? Optional.empty() : margin(line, segment);
        int start = before.map(Sign::to).or(() -> margin.map(Margin::to)).orElse(segment.from());
        int labelAt = skipBlank(line.text(), start, segment.to());
        List<Label> typed = LabelFinder.find(line.text(), labelAt, segment.to());
        List<Label> first = typed.isEmpty() && labelAt == 0 && segment.to() >= line.labelEnd()
                ? LabelFinder.automatic(line.text(), line.labelEnd())
                : typed;
        List<Label> behindBox = behindBox(line.text(), first, segment.to());
        // "A rule   B tape   [1]": what stands behind options is their worth and numbers nothing.
        boolean worth =
                !piece.first() && PointsFinder.isPointsOnly(text) || !piece.first() && text.matches("\\[\\d{1,2}]");
        List<Label> labels = worth ? List.of() : behindBox.isEmpty() ? first : behindBox;
        boolean boxed = labels.stream().anyMatch(label -> label.kind() == Label.Kind.BOX);
        Set<Trait> traits = traits(line, segment, text, words);
        if (boxed) {
            // "[ ] fine" ends nothing, whatever language has such a word.
            traits.remove(Trait.END_WORD);
        }
        if (room) {
            traits.add(Trait.WRITING_LINE);
        }
        Optional<Sign> sign = before.or(() -> signBehindLabel(line, segment, labels))
                .or(() -> signAfter(line, segment)
                        // "A - Richtig" is an option and no verdict on one.
                        .filter(s -> labels.stream().noneMatch(label -> s.from() < label.end())));
        // "False [correct]": the sign is no part of the word.
        boolean behind =
                sign.filter(s -> s.to() == segment.to() && s.from() > labelAt).isPresent();
        if (behind && isJudgement(line.text().substring(labelAt, sign.get().from()))) {
            traits.add(Trait.JUDGEMENT_WORD);
        }
        return new Cues(piece, line, text, margin, labels, sign, lead, words, traits);
    }

    /** "☐ a) wax", "• A. wax", "• [x] wax": the letter or the box behind counts, the box or bullet is only there to be ticked. */
    private static List<Label> behindBox(String text, List<Label> labels, int end) {
        boolean sign = !labels.isEmpty()
                && (labels.get(0).kind() == Label.Kind.BOX || labels.get(0).kind() == Label.Kind.BULLET);
        if (!sign) {
            return List.of();
        }
        return LabelFinder.find(text, labels.get(0).end(), end).stream()
                .filter(label -> label.kind() == Label.Kind.LETTER
                        || label.kind() == Label.Kind.BOX && labels.get(0).kind() == Label.Kind.BULLET)
                .toList();
    }

    private static int skipBlank(String text, int from, int to) {
        int at = from;
        while (at < to && Character.isWhitespace(text.charAt(at))) {
            at++;
        }
        return at;
    }

    private static Optional<Sign> signBefore(Line line, Segment segment) {
        Matcher matcher = SIGN_BEFORE.matcher(line.text()).region(segment.from(), segment.to());
        return matcher.lookingAt()
                ? Optional.of(new Sign(segment.from(), matcher.end(), isRight(matcher)))
                : Optional.empty();
    }

    /** A red cross marks what is wrong. */
    private static boolean isRight(Matcher sign) {
        return sign.group().indexOf('\u274c') < 0 && !Verdicts.isAgainst(sign.group());
    }

    /** Automatic letters stand before anything typed, so a typed star comes behind them. */
    private static Optional<Sign> signBehindLabel(Line line, Segment segment, List<Label> labels) {
        if (labels.isEmpty()) {
            return Optional.empty();
        }
        Label label = labels.get(0);
        boolean lettered = label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.ROMAN;
        int from = line.labelEnd() > 0 ? line.labelEnd() : lettered ? label.end() : segment.to();
        Matcher matcher = SIGN_BEFORE.matcher(line.text()).region(Math.min(from, segment.to()), segment.to());
        return matcher.lookingAt() ? Optional.of(new Sign(from, matcher.end(), isRight(matcher))) : Optional.empty();
    }

    private static Optional<Sign> signAfter(Line line, Segment segment) {
        int last = segment.to() - 1;
        while (last > segment.from() && Character.isWhitespace(line.text().charAt(last))) {
            last--;
        }
        if (last <= segment.from()
                || Character.isLetterOrDigit(line.text().charAt(last))
                        && line.text().lastIndexOf("<-", last) < segment.from()
                        && line.text().lastIndexOf('\u2190', last) < segment.from()
                        && !Verdicts.endsIn(line.text().substring(segment.from(), last + 1))
                || line.text().charAt(last) == '?') {
            return Optional.empty();
        }
        Matcher matcher = SIGN_AFTER.matcher(line.text()).region(segment.from(), segment.to());
        if (matcher.find() && matcher.start() > segment.from()) {
            return Optional.of(new Sign(matcher.start(), segment.to(), isRight(matcher)));
        }
        Matcher percent = PERCENT_AFTER.matcher(line.text()).region(segment.from(), segment.to());
        return percent.find()
                ? Optional.of(new Sign(
                        percent.start(), segment.to(), !percent.group(1).matches("0+")))
                : Optional.empty();
    }

    private static Optional<Margin> margin(Line line, Segment segment) {
        Matcher blank = MARGIN_BLANK.matcher(line.text()).region(segment.from(), segment.to());
        if (blank.lookingAt()) {
            String said = blank.group(1) == null ? "" : blank.group(1).strip();
            return Optional.of(new Margin(said, false, blank.end()));
        }
        Matcher brackets = MARGIN_BRACKETS.matcher(line.text()).region(segment.from(), segment.to());
        if (brackets.lookingAt()) {
            String said = brackets.group(1) == null ? "" : brackets.group(1);
            return Optional.of(new Margin(said, false, brackets.end()));
        }
        Matcher bare = MARGIN_BARE.matcher(line.text()).region(segment.from(), segment.to());
        if (bare.lookingAt()) {
            return Optional.of(new Margin(bare.group(1), false, bare.end()));
        }
        Matcher label = MARGIN_LABEL.matcher(line.text()).region(segment.from(), segment.to());
        if (label.lookingAt()) {
            return Optional.of(new Margin("", false, label.end()));
        }
        Matcher pair = MARGIN_PAIR.matcher(line.text()).region(segment.from(), segment.to());
        return pair.lookingAt() ? Optional.of(new Margin(marked(line, pair), true, pair.end())) : Optional.empty();
    }

    /** Which of the two letters is set apart from the other. */
    private static String marked(Line line, Matcher pair) {
        int place = line.standsOut(pair.start(1), pair.end(1), pair.start(2), pair.end(2));
        return place == 0 ? "" : pair.group(place);
    }

    /** "Justification: ________": the candidate is to write it, and nobody has. */
    private static boolean isRoom(Line line, Segment segment, Lead lead) {
        return lead.announces() == Announces.FEEDBACK
                && WRITING.matcher(
                                line.text().substring(lead.end(), segment.to()).strip())
                        .matches();
    }

    private static Optional<Lead> lead(Line line, Segment segment, Words words) {
        int begin = Math.max(segment.from(), Math.min(line.labelEnd(), segment.to()));
        Matcher decoration = DECORATION.matcher(line.text()).region(begin, segment.to());
        int from = decoration.lookingAt() ? decoration.end() : begin;
        Matcher arrow = ARROW.matcher(line.text()).region(from, segment.to());
        if (arrow.lookingAt()) {
            return Optional.of(new Lead(Announces.KEY, arrow.end()));
        }
        if (WORDS.mentions(words, "answer_sentence")) {
            Matcher sentence = SENTENCE_LEAD.matcher(line.text()).region(from, segment.to());
            if (sentence.lookingAt()) {
                return Optional.of(new Lead(Announces.KEY, sentence.end()));
            }
        }
        if (WORDS.mentions(words, "answer_initial")) {
            Matcher initial = INITIAL_LEAD.matcher(line.text()).region(from, segment.to());
            if (initial.lookingAt()) {
                return Optional.of(new Lead(Announces.KEY, initial.end()));
            }
        }
        if (!WORDS.mentions(words, "answer", "list", "model", "feedback", "hint", "label")) {
            return Optional.empty();
        }
        Matcher matcher = LEAD.matcher(line.text()).region(from, segment.to());
        if (!matcher.lookingAt()) {
            return Optional.empty();
        }
        String word = matcher.group(1);
        Announces announces = WORDS.has("model", word)
                ? Announces.MODEL
                : WORDS.has("answer", word) || WORDS.has("list", word)
                        ? Announces.KEY
                        : WORDS.has("hint", word)
                                ? Announces.HINT
                                : WORDS.has("feedback", word) ? Announces.FEEDBACK : Announces.LABEL;
        return Optional.of(new Lead(announces, matcher.end()));
    }

    private static Set<Trait> traits(Line line, Segment segment, String text, Words words) {
        Set<Trait> traits = EnumSet.noneOf(Trait.class);
        words(text, words, traits);
        boolean preface = line.number() == 1
                && WORDS.mentions(words, "preface")
                && PREFACE.matcher(text).matches();
        add(traits, Trait.CODE, mayBeCode(text) && CODE.matcher(text).matches());
        add(traits, Trait.PREFACE, preface);
        add(traits, Trait.END_WORD, preface);
        form(line, segment, text, traits);
        return traits;
    }

    /** A cheap look before the pattern is tried. */
    private static boolean mayBeCode(String text) {
        return text.length() < LONG && text.chars().anyMatch(sign -> ";{}()[]=".indexOf(sign) >= 0);
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
        add(
                traits,
                Trait.RULE,
                text.length() < LONGEST_SEARCHED
                        && (RULE.matcher(text).matches()
                                || LONE_BULLET.matcher(text).matches()));
        add(
                traits,
                Trait.WRITING_LINE,
                text.length() < LONGEST_SEARCHED && WRITING.matcher(text).matches());
        add(
                traits,
                Trait.SECTION_WORD,
                text.length() < SHORT * 2
                        && WORDS.mentions(words, "section")
                        && SECTION.matcher(undecorated(text)).matches());
        add(
                traits,
                Trait.INSTRUCTION_WORD,
                WORDS.mentions(words, "instruction")
                        && INSTRUCTION.matcher(text).matches());
        add(traits, Trait.RANGE, hasTwoNumbers(words) && RANGE.matcher(text).matches());
        add(traits, Trait.PASSAGE_WORD, WORDS.mentions(words, "passage") && isAnnouncedEarly(text));
        boolean bracketed =
                text.length() <= "[10]".length() && BRACKETED.matcher(text).matches();
        add(traits, Trait.POINTS_ONLY, bracketed || WORDS.mentions(words, "points") && PointsFinder.isPointsOnly(text));
        add(
                traits,
                Trait.POINTS_EACH,
                WORDS.mentions(words, "points") && PointsFinder.each(text).isPresent());
        add(
                traits,
                Trait.END_WORD,
                text.length() < SHORT
                                && WORDS.mentions(words, "end")
                                && END.matcher(text).matches()
                        || text.length() < LONG
                                && WORDS.mentions(words, "farewell")
                                && FAREWELL.matcher(text).matches()
                        || text.length() < EARLY
                                && WORDS.mentions(words, "total")
                                && TOTAL.matcher(text).matches());
        add(traits, Trait.JUDGEMENT_WORD, words.size() <= 2 && isJudgement(text));
        add(traits, Trait.QUESTION_MARK, text.endsWith("?"));
        add(traits, Trait.COLON, text.endsWith(":"));
        boolean signs = ProseMaker.mayHaveGap(text);
        add(traits, Trait.CLOZE, signs && CLOZE.matcher(text).find());
        add(traits, Trait.GAP, signs && GAP.matcher(text).find());
    }

    /** What stands far behind is no part of a school's name. */
    private static boolean isOfSchool(String text) {
        String near = FAR_APART.split(text, 2)[0];
        return near.length() < SHORT && WORDS.mentions(Words.of(near), "school_word");
    }

    private static boolean isFillIn(String text, Words words) {
        return WORDS.mentions(words, "fill")
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

    private static final Pattern TICKED_BOX = Pattern.compile("^\\s*[(\\[]\\s?[xX]\\s?[)\\]]");

    private static boolean isJudgement(String text) {
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
