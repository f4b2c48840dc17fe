package org.tidyleaf.reading.cue;

import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.reading.cut.Verdicts;
import org.tidyleaf.reading.line.AnswerParser;
import org.tidyleaf.reading.model.Cues.Margin;
import org.tidyleaf.reading.model.Cues.Sign;
import org.tidyleaf.reading.model.Label;
import org.tidyleaf.reading.wording.Vocabulary;
import org.tidyleaf.source.Line;
import org.tidyleaf.source.Segment;

/** Signs beside a piece that say which option is right, and what stands in the margin before a question's number. */
final class SignFinder {

    private static final Vocabulary WORDS = Vocabulary.ALL;

    private static final Pattern SIGN_BEFORE = Pattern.compile(
            "(?:\\*{1,2}(?=\\s?(?:[(\\[]?[A-Za-z0-9]|[\u2022\u2023\u25aa\u25e6\u25cb\u25ef\u2610\u25a1]|[-\u2013]\\s))|[\u2713\u2714\u2705\u2611\u2192\u2605\u2606\u25ba\u274c]\ufe0f?)\\s*");

    private static final Pattern SIGN_AFTER =
            Vocabulary.pattern("\\s*(?:\\*{1,2}|[\u2713\u2714\u2705\u2611\u2605\u274c]\ufe0f?|(?:<-+|\u2190)(?:\\s*"
                    + WORDS.either("correct") + ")?|[(\\[]\\s*(?:"
                    + WORDS.either("correct", "answer", "incorrect") + "|x|\u2713|\u2714|\\*)\\s*[)\\]]|"
                    + Verdicts.VERDICT
                    + ")\\s*$");

    private static final Pattern PERCENT_AFTER =
            Pattern.compile("\\s*[(\\[]\\s*([+\u2212-]?\\d{1,3})\\s*%\\s*[)\\]]\\s*$");

    /** What stands in the margin has a question's number right behind it. */
    private static final String NUMBER_BEHIND = "(?=(?:" + WORDS.either("question") + "\\.?\\s*|#)?[(\\[]?\\d)";

    private static final Pattern MARGIN_BLANK = Vocabulary.pattern("_++\\s*(?:(" + WORDS.either("true", "false") + "|"
            + AnswerParser.OPTION_NAMES + ")\\s*_++\\s*)?" + NUMBER_BEHIND);

    /** "( V ) 1. Bees sleep.", "(   ) 2. …": brackets before the number to write the answer in. */
    private static final Pattern MARGIN_BRACKETS = Vocabulary.pattern(
            "[(\\[]\\s*((?-i:[A-Z]))?\\s*[)\\]]\\s+(?=\\d{1,3}\\s?[.)]\\s|\\d{1,3}\\s+(?-i:\\p{Lu})|(?:"
                    + WORDS.either("question") + ")\\.?\\s*\\d)");

    private static final Pattern MARGIN_BARE = Pattern.compile("([TF])\\s+(?=\\d{1,3}[.)]\\s)");

    /** "[Easy] 3. …": a label of the author's before the number. */
    private static final Pattern MARGIN_LABEL =
            Pattern.compile("\\[\\p{L}[\\p{L} ]{1,14}]\\s+(?=[(\\[]?\\d{1,3}[.):])");

    private static final Pattern MARGIN_PAIR =
            Vocabulary.pattern("(?-i:[(\\[]?([TVRWJP])\\s*[/|]?\\s*([FO])[)\\]]?)\\s+" + NUMBER_BEHIND);

    private SignFinder() {}

    static Optional<Sign> before(Line line, Segment segment) {
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
    static Optional<Sign> behindLabel(Line line, Segment segment, List<Label> labels) {
        if (labels.isEmpty()) {
            return Optional.empty();
        }
        Label label = labels.get(0);
        boolean lettered = label.kind() == Label.Kind.LETTER || label.kind() == Label.Kind.ROMAN;
        int from = line.labelEnd() > 0 ? line.labelEnd() : lettered ? label.end() : segment.to();
        Matcher matcher = SIGN_BEFORE.matcher(line.text()).region(Math.min(from, segment.to()), segment.to());
        return matcher.lookingAt() ? Optional.of(new Sign(from, matcher.end(), isRight(matcher))) : Optional.empty();
    }

    static Optional<Sign> after(Line line, Segment segment) {
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
                ? Optional.of(
                        new Sign(percent.start(), segment.to(), percent.group(1).matches("\\+?0*[1-9]\\d*")))
                : Optional.empty();
    }

    static Optional<Margin> margin(Line line, Segment segment) {
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
}
