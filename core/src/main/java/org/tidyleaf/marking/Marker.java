package org.tidyleaf.marking;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PartialMarks;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;

/**
 * Marks a response: {@code Mark mark = Marker.mark(question, response)}. Choices earn all or nothing (the standard's
 * response processing {@code match_correct}), each right gap, pair, place or row earns its share, a number counts within its tolerance, ends
 * included, unless the {@link MarkRules} say otherwise. An open answer waits for a person; one left empty earns nothing.
 */
public final class Marker {

    /** What a question is worth while nobody has said. */
    public static final BigDecimal USUAL_POINTS = BigDecimal.ONE;

    /** Shares of a point are kept to the hundredth. */
    private static final int DECIMALS = 2;

    private Marker() {}

    public static BigDecimal most(Question question) {
        return question.particulars().points().orElse(USUAL_POINTS);
    }

    /** A person's mark, within what can be earned, or else the one worked out by the usual rules. */
    public static Mark mark(Question question, Response response, Optional<HandMark> given) {
        return mark(question, response, given, MarkRules.USUAL);
    }

    /** A person's mark, within what can be earned, or else the one worked out. */
    public static Mark mark(Question question, Response response, Optional<HandMark> given, MarkRules rules) {
        BigDecimal most = most(question);
        return given.map(hand ->
                        new Mark(Optional.of(hand.points().max(BigDecimal.ZERO).min(most)), most))
                .orElseGet(() -> mark(question, response, rules));
    }

    public static Mark mark(Question question, Response response) {
        return mark(question, response, MarkRules.USUAL);
    }

    public static Mark mark(Question question, Response response, MarkRules rules) {
        BigDecimal most = most(question);
        if (response.isEmpty()) {
            return new Mark(Optional.of(BigDecimal.ZERO), most);
        }
        return new Mark(question.match(new Earned(response, most, forOne(rules, question))), most);
    }

    /** The test's rules, but for what the question has of its own. */
    private static MarkRules forOne(MarkRules rules, Question question) {
        return question.particulars()
                .settings()
                .partial()
                .map(own -> new MarkRules(
                        own == PartialMarks.NEIGHBOURS ? PartialMarks.USUAL : own,
                        rules.neighbours() && own == PartialMarks.USUAL || own == PartialMarks.NEIGHBOURS,
                        rules.accents(),
                        rules.slips()))
                .orElse(rules);
    }

    private record Earned(Response response, BigDecimal most, MarkRules rules)
            implements Question.Cases<Optional<BigDecimal>> {

        @Override
        public Optional<BigDecimal> choice(ChoiceQuestion question) {
            boolean parted = question.takesSeveral()
                    && (rules.parts() == PartialMarks.EACH_RIGHT || rules.parts() == PartialMarks.LESS_WRONG);
            if (!parted || !question.isKeyed()) {
                return allOrNothing(question.isKeyed() && question.key().equals(response.chosen()));
            }
            int right = (int)
                    response.chosen().stream().filter(question.key()::contains).count();
            return counted(
                    right, response.chosen().size() - right, question.key().size());
        }

        @Override
        public Optional<BigDecimal> textEntry(TextEntry question) {
            return shares(
                    question.gaps().size(),
                    i -> Spelling.accepts(
                            question.gaps().get(i), response.entered().get(i), rules));
        }

        @Override
        public Optional<BigDecimal> match(Match question) {
            return shares(question.key().size(), i -> isPlace(i, question.key().get(i)));
        }

        @Override
        public Optional<BigDecimal> order(Order question) {
            if (rules.neighbours() && question.key().size() > 1) {
                return neighbours(question);
            }
            return shares(question.key().size(), i -> isPlace(i, question.key().indexOf(i)));
        }

        @Override
        public Optional<BigDecimal> grid(Grid question) {
            return shares(
                    question.key().size(),
                    i -> question.key().get(i).size() == 1
                            && isPlace(i, question.key().get(i).iterator().next()));
        }

        @Override
        public Optional<BigDecimal> gapMatch(GapMatch question) {
            return shares(
                    question.key().size(),
                    i -> Spelling.isSame(
                            question.key().get(i), response.entered().get(i), rules));
        }

        @Override
        public Optional<BigDecimal> tableEntry(TableEntry question) {
            return shares(
                    question.gaps().size(),
                    i -> Spelling.accepts(
                            question.gaps().get(i), response.entered().get(i), rules));
        }

        @Override
        public Optional<BigDecimal> pictureLabel(PictureLabel question) {
            return shares(
                    question.gaps().size(),
                    i -> Spelling.accepts(
                            question.gaps().get(i), response.entered().get(i), rules));
        }

        /** Each span marked whole earns its share, each word too many takes one away again, not under nothing. */
        @Override
        public Optional<BigDecimal> hottext(Hottext question) {
            List<Set<Integer>> spans = question.spanWords();
            long right = spans.stream().filter(response.chosen()::containsAll).count();
            long wrong = response.chosen().stream()
                    .filter(word -> spans.stream().noneMatch(span -> span.contains(word)))
                    .count();
            return rules.parts() == PartialMarks.USUAL
                    ? share((int) Math.max(0, right - wrong), spans.size())
                    : counted((int) right, (int) wrong, spans.size());
        }

        /** Each item that stands right before its rightful next one earns a share. */
        private Optional<BigDecimal> neighbours(Order question) {
            int right = 0;
            for (int i = 0; i + 1 < question.key().size(); i++) {
                int here = placeOf(question.key().get(i));
                right += here >= 0 && here + 1 == placeOf(question.key().get(i + 1)) ? 1 : 0;
            }
            int pairs = question.key().size() - 1;
            return counted(right, pairs - right, pairs);
        }

        /** The 0-based place that was given to an item, or -1. */
        private int placeOf(int item) {
            String entered =
                    item < response.entered().size() ? response.entered().get(item) : "";
            return entered.matches("\\d{1,3}") ? Integer.parseInt(entered) : -1;
        }

        /** Whether the part's entry names that 0-based place. */
        private boolean isPlace(int part, int place) {
            return response.entered().get(part).equals(String.valueOf(place));
        }

        /** Each right part earns the same share of the points; all right earn them to the last hundredth. */
        private Optional<BigDecimal> shares(int parts, IntPredicate isRightPart) {
            int right = 0;
            int wrong = 0;
            for (int i = 0; i < parts && i < response.entered().size(); i++) {
                boolean isRight = isRightPart.test(i);
                right += isRight ? 1 : 0;
                wrong += isRight || response.entered().get(i).isBlank() ? 0 : 1;
            }
            return counted(right, wrong, parts);
        }

        /** What so many right and wrong parts earn by the rules; a part left empty is neither. */
        private Optional<BigDecimal> counted(int right, int wrong, int parts) {
            return switch (rules.parts()) {
                case WHOLE -> allOrNothing(parts > 0 && right == parts && wrong == 0);
                case LESS_WRONG -> share(Math.max(0, right - wrong), parts);
                case USUAL, EACH_RIGHT, NEIGHBOURS -> share(right, parts);
            };
        }

        private Optional<BigDecimal> share(int right, int parts) {
            if (parts == 0 || right == parts) {
                return Optional.of(parts == 0 ? BigDecimal.ZERO : most);
            }
            BigDecimal earned = most.multiply(BigDecimal.valueOf(right))
                    .divide(BigDecimal.valueOf(parts), DECIMALS, RoundingMode.HALF_UP);
            return Optional.of(earned.stripTrailingZeros());
        }

        @Override
        public Optional<BigDecimal> numericEntry(NumericEntry question) {
            return allOrNothing(question.key()
                    .flatMap(key -> NumberEntry.value(response.entered().get(0), key.unit())
                            .map(value -> value.subtract(key.value())
                                            .abs()
                                            .compareTo(key.tolerance().orElse(BigDecimal.ZERO))
                                    <= 0))
                    .orElse(false));
        }

        @Override
        public Optional<BigDecimal> extendedText(ExtendedText question) {
            return Optional.empty();
        }

        private Optional<BigDecimal> allOrNothing(boolean right) {
            return Optional.of(right ? most : BigDecimal.ZERO);
        }
    }
}
