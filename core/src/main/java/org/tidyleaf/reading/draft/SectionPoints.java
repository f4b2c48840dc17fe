package org.tidyleaf.reading.draft;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.tidyleaf.question.Section;
import org.tidyleaf.reading.line.PointsFinder;
import org.tidyleaf.reading.model.Draft;
import org.tidyleaf.reading.wording.Vocabulary;

/** "IV. Essay (6 points)": what the heads of sections say about the points of the questions below them. */
final class SectionPoints {

    /** Fewer heads may end in a number for something else. */
    private static final int FEWEST_BARE = 3;

    private static final Pattern CHOOSE_ONE = Vocabulary.pattern("\\b" + Vocabulary.ALL.either("choose_one") + "\\b");

    private SectionPoints() {}

    /**
     * Gives each question what its section says, where it says nothing itself.
     *
     * @param said the heads as printed, for each section
     * @param barePoints whether a number in brackets at an end is worth points throughout the paper
     */
    static void share(List<Section> sections, List<String> said, List<Draft> questions, boolean barePoints) {
        // "Task 2 Write the opposites. (4)": a bare number is worth points where all heads have one.
        boolean bare = said.size() >= FEWEST_BARE
                && said.stream().allMatch(head -> PointsFinder.bareBeside(head).isPresent());
        for (int i = 0; i < sections.size(); i++) {
            int section = i;
            List<Draft> within =
                    questions.stream().filter(draft -> draft.section == section).toList();
            if (!within.isEmpty()) {
                String told = sections.get(i).instructions().plain().strip();
                share(sections.get(i).title(), said.get(i), within, bare);
                if (within.stream().allMatch(draft -> draft.points.isEmpty())) {
                    shareTold(said.get(i), told, within, barePoints);
                }
            }
        }
    }

    /**
     * "___ / 6" or "(3 x 2) (6)" below several questions: what they are worth together, back to those that have their points.
     *
     * @return whether it was a line of that kind and there were several
     */
    static boolean shareScore(String text, List<Draft> questions) {
        boolean group = PointsFinder.isGroupTotal(text);
        boolean ofPart = !questions.isEmpty()
                && questions.get(questions.size() - 1).number.matches("[a-h]|[ivx]{1,4}|\\d+\\.\\d+");
        if (!group && (ofPart || !PointsFinder.isScore(text))) {
            return false;
        }
        int from = questions.size();
        while (from > 0
                && questions.get(from - 1).points.isEmpty()
                && questions.get(from - 1).section == questions.get(questions.size() - 1).section) {
            from--;
        }
        List<Draft> together = questions.subList(from, questions.size());
        Optional<BigDecimal> each = group
                ? PointsFinder.eachOfGroup(text, together.size())
                : together.size() < 2
                        ? Optional.empty()
                        : PointsFinder.only(text).flatMap(total -> PointsFinder.share(total, together.size()));
        each.ifPresent(points -> together.forEach(draft -> {
            draft.points = each;
            draft.pointed = true;
        }));
        return group || together.size() > 1;
    }

    /** "Put the verbs into the past. (4 points)" below the head of two; "Choose one topic. (10 points)" is worth as much for each. */
    private static void shareTold(String said, String told, List<Draft> within, boolean barePoints) {
        Optional<BigDecimal> worth = PointsFinder.beside(told)
                .or(() -> barePoints ? PointsFinder.bareBeside(told) : Optional.empty())
                .map(PointsFinder.Found::points);
        boolean one = CHOOSE_ONE.matcher(said + " " + told).find();
        Optional<BigDecimal> each = one ? worth : worth.flatMap(total -> PointsFinder.share(total, within.size()));
        within.forEach(draft -> draft.points = each);
    }

    /** How many there are where 13i, 13ii and 13iii are one. */
    private static int questions(List<Draft> within) {
        long parts = within.stream().filter(SectionPoints::isPart).count();
        long wholes = within.stream()
                .filter(SectionPoints::isPart)
                .map(draft -> draft.number.replaceAll("\\D.*", ""))
                .distinct()
                .count();
        return (int) (within.size() - parts + wholes);
    }

    private static boolean isPart(Draft draft) {
        return draft.number.matches("\\d+[.]?[a-z]+");
    }

    private static void share(String title, String said, List<Draft> within, boolean bare) {
        Optional<BigDecimal> ofAll = PointsFinder.eachOf(said, within.size());
        Optional<BigDecimal> each = ofAll.or(() -> PointsFinder.eachOf(said, questions(within)));
        List<BigDecimal> one = PointsFinder.sum(said);
        if (one.size() == within.size() && within.stream().noneMatch(draft -> draft.pointed)) {
            for (int i = 0; i < one.size(); i++) {
                within.get(i).points = Optional.of(one.get(i));
            }
        } else if (each.isPresent() && !within.stream().allMatch(draft -> draft.pointed)) {
            within.stream()
                    .filter(draft -> !draft.pointed && (ofAll.isPresent() || !isPart(draft)))
                    .forEach(draft -> draft.points = each);
        } else if (within.stream().allMatch(draft -> draft.points.isEmpty())) {
            Optional<BigDecimal> share = PointsFinder.beside(title)
                    .or(() -> PointsFinder.beside(said))
                    .or(() -> PointsFinder.bracketed(said))
                    .or(() -> bare ? PointsFinder.bareBeside(said) : Optional.empty())
                    .flatMap(found -> CHOOSE_ONE.matcher(said).find()
                            ? Optional.of(found.points())
                            : PointsFinder.share(found.points(), within.size()));
            within.forEach(draft -> draft.points = share);
        }
    }
}
