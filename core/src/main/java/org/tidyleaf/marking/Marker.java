package org.tidyleaf.marking;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
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
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;

/**
 * Marks a response: {@code Mark mark = Marker.mark(question, response)}. Choices earn all or nothing (the standard's
 * response processing {@code match_correct}), each right gap, pair, place or row earns its share, a number counts within its tolerance, ends
 * included. An open answer waits for a person; one left empty earns nothing.
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

    /** A person's mark, within what can be earned, or else the one worked out. */
    public static Mark mark(Question question, Response response, Optional<HandMark> given) {
        BigDecimal most = most(question);
        return given.map(hand ->
                        new Mark(Optional.of(hand.points().max(BigDecimal.ZERO).min(most)), most))
                .orElseGet(() -> mark(question, response));
    }

    public static Mark mark(Question question, Response response) {
        BigDecimal most = most(question);
        if (response.isEmpty()) {
            return new Mark(Optional.of(BigDecimal.ZERO), most);
        }
        return new Mark(question.match(new Earned(response, most)), most);
    }

    private record Earned(Response response, BigDecimal most) implements Question.Cases<Optional<BigDecimal>> {

        @Override
        public Optional<BigDecimal> choice(ChoiceQuestion question) {
            return allOrNothing(question.isKeyed() && question.key().equals(response.chosen()));
        }

        @Override
        public Optional<BigDecimal> textEntry(TextEntry question) {
            return shares(
                    question.gaps().size(),
                    i -> accepts(question.gaps().get(i), response.entered().get(i)));
        }

        @Override
        public Optional<BigDecimal> match(Match question) {
            return shares(question.key().size(), i -> isPlace(i, question.key().get(i)));
        }

        @Override
        public Optional<BigDecimal> order(Order question) {
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
                    i -> plain(question.key().get(i))
                            .equals(plain(response.entered().get(i))));
        }

        @Override
        public Optional<BigDecimal> tableEntry(TableEntry question) {
            return shares(
                    question.gaps().size(),
                    i -> accepts(question.gaps().get(i), response.entered().get(i)));
        }

        @Override
        public Optional<BigDecimal> pictureLabel(PictureLabel question) {
            return shares(
                    question.gaps().size(),
                    i -> accepts(question.gaps().get(i), response.entered().get(i)));
        }

        /** Each span marked whole earns its share, each word too many takes one away again, not under nothing. */
        @Override
        public Optional<BigDecimal> hottext(Hottext question) {
            List<Set<Integer>> spans = question.spanWords();
            long right = spans.stream().filter(response.chosen()::containsAll).count();
            long wrong = response.chosen().stream()
                    .filter(word -> spans.stream().noneMatch(span -> span.contains(word)))
                    .count();
            return share((int) Math.max(0, right - wrong), spans.size());
        }

        /** Whether the part's entry names that 0-based place. */
        private boolean isPlace(int part, int place) {
            return response.entered().get(part).equals(String.valueOf(place));
        }

        /** Each right part earns the same share of the points; all right earn them to the last hundredth. */
        private Optional<BigDecimal> shares(int parts, IntPredicate isRight) {
            int right = 0;
            for (int i = 0; i < parts && i < response.entered().size(); i++) {
                right += isRight.test(i) ? 1 : 0;
            }
            return share(right, parts);
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

    private static boolean accepts(List<String> spellings, String entered) {
        return spellings.stream().anyMatch(spelling -> plain(spelling).equals(plain(entered)));
    }

    /** Case and outer spaces don't matter, nor how many spaces stand between words (common practice). */
    private static String plain(String text) {
        return text.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
    }
}
