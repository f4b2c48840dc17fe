package org.tidyleaf.web.review;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.QuestionType;
import org.tidyleaf.reading.AnswerText;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.tidying.Parts;

/**
 * A question's card while it is edited, as its form sends it.
 *
 * @param option the options' texts in order; absent where the question has none
 * @param from for each option the 0-based place it has now, or -1 for a new one
 * @param firstSide the parts beside the stem, a line each; absent where the question has none
 * @param secondSide those of the other side, if there are two
 * @param answer what is right where there are no options
 */
record CardForm(
        String stem,
        @Nullable List<String> option,
        @Nullable List<Integer> from,
        @Nullable String answer,
        String type,
        @Nullable BigDecimal points,
        @Nullable String firstSide,
        @Nullable String secondSide) {

    /** The decisions that make the question what the form says; empty where nothing changed. */
    Optional<Decision> changes(Question now) {
        List<Decision> changes = new ArrayList<>();
        if (!plain(stem).equals(now.particulars().stem().typed())) {
            changes.add(new Decision.EditStem(now.id(), plain(stem)));
        }
        if (now instanceof ChoiceQuestion choice && option != null) {
            options(choice, option, changes);
        }
        List<Parts.Side> sides = Parts.of(now);
        List<List<String>> typed = sides(sides.size());
        if (!typed.isEmpty()
                && !typed.equals(sides.stream().map(Parts.Side::lines).toList())) {
            changes.add(new Decision.EditParts(now.id(), typed));
        }
        if (answer != null && !plain(answer).equals(AnswerText.of(now))) {
            changes.add(new Decision.SetAnswer(now.id(), plain(answer)));
        }
        if (points != null && points.signum() >= 0 && points.compareTo(Marker.most(now)) != 0) {
            changes.add(new Decision.SetPoints(now.id(), points));
        }
        QuestionType.labelled(type)
                .filter(wanted -> wanted != now.type())
                .ifPresent(wanted -> changes.add(new Decision.ChangeType(now.id(), wanted)));
        return changes.isEmpty() ? Optional.empty() : Optional.of(new Decision.Several(changes));
    }

    private void options(ChoiceQuestion choice, List<String> texts, List<Decision> changes) {
        if (from != null && from.size() == texts.size() && isRearranged(choice)) {
            List<Decision.SetOptions.Kept> kept = new ArrayList<>();
            for (int i = 0; i < texts.size(); i++) {
                boolean blank = from.get(i) < 0 && plain(texts.get(i)).isEmpty();
                if (!blank) {
                    kept.add(new Decision.SetOptions.Kept(from.get(i), plain(texts.get(i))));
                }
            }
            changes.add(new Decision.SetOptions(choice.id(), kept));
            return;
        }
        for (int i = 0; i < Math.min(texts.size(), choice.options().size()); i++) {
            if (!plain(texts.get(i)).equals(choice.options().get(i).text().typed())) {
                changes.add(new Decision.EditOption(choice.id(), i, plain(texts.get(i))));
            }
        }
    }

    /** What is typed for so many sides; empty where the form has none of them. */
    private List<List<String>> sides(int count) {
        if (count == 0 || firstSide == null || count > 1 && secondSide == null) {
            return List.of();
        }
        return count == 1 ? List.of(lines(firstSide)) : List.of(lines(firstSide), lines(String.valueOf(secondSide)));
    }

    private static List<String> lines(String text) {
        return plain(text)
                .lines()
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .toList();
    }

    private boolean isRearranged(ChoiceQuestion choice) {
        List<Integer> usual = java.util.stream.IntStream.range(
                        0, choice.options().size())
                .boxed()
                .toList();
        return !usual.equals(from);
    }

    /** Browsers send line ends as two characters. */
    private static String plain(String text) {
        return text.replace("\r\n", "\n").strip();
    }
}
