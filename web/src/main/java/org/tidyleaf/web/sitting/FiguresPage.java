package org.tidyleaf.web.sitting;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.tidyleaf.marking.Mark;
import org.tidyleaf.marking.MarkRules;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.statistics.QuestionFigures;
import org.tidyleaf.statistics.TestFigures;

/**
 * Figures of a sitting in words and charts; scripts that are not handed in do not count, open answers not marked yet count
 * as nothing.
 *
 * @param bars of the histogram of the points in all
 */
record FiguresPage(
        int candidates,
        String mean,
        String most,
        String spread,
        String alpha,
        String alphaWords,
        String error,
        List<Bar> bars,
        List<Row> rows) {

    /** Fewer scripts say too little about single questions. */
    private static final int ENOUGH = 10;

    private static final int BINS = 10;

    /** The chart's height, and the width of a bar with its space, in its own units. */
    private static final int HEIGHT = 60;

    private static final int PITCH = 30;

    /** Ebel's bounds for the index of discrimination (1965; from memory): below the first poor, above the second good. */
    private static final double POOR = 0.2;

    private static final double GOOD = 0.4;

    /**
     * A bar of the histogram.
     *
     * @param label the points it stands for
     */
    public record Bar(int x, int y, int height, int count, String label) {}

    /**
     * A question.
     *
     * @param share of its points that were earned, in percent
     * @param words what the figures say, sentence by sentence
     */
    public record Row(
            String number,
            String stem,
            int share,
            String discrimination,
            int omitted,
            List<Choice> options,
            List<String> words) {}

    /** An option: how many chose it in all, of the strong and of the weak third; widths are for a bar of 100. */
    public record Choice(String letter, boolean right, int chosen, int strong, int weak, int width) {}

    public boolean isEnough() {
        return candidates >= ENOUGH;
    }

    static FiguresPage of(Marking marking) {
        Quiz quiz = marking.quiz();
        List<BigDecimal> most = quiz.questions().stream().map(Marker::most).toList();
        List<Integer> options = quiz.questions().stream()
                .map(question -> question instanceof ChoiceQuestion choice
                        ? choice.options().size()
                        : 0)
                .toList();
        List<TestFigures.Script> scripts = marking.scripts().stream()
                .filter(ResultTable.Answers::handedIn)
                .map(answers -> script(quiz, marking.rules(), answers))
                .toList();
        TestFigures figures = TestFigures.of(most, options, scripts);
        double inAll = most.stream().mapToDouble(BigDecimal::doubleValue).sum();
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < quiz.questions().size(); i++) {
            rows.add(row(marking, quiz.questions().get(i), figures.questions().get(i), scripts.size()));
        }
        return new FiguresPage(
                scripts.size(),
                one(figures.mean()),
                one(inAll),
                one(figures.spread()),
                figures.alpha().map(FiguresPage::two).orElse("\u2013"),
                figures.alpha().map(FiguresPage::reliability).orElse("Too few scripts or questions to tell."),
                figures.error().map(FiguresPage::one).orElse("\u2013"),
                histogram(scripts, inAll),
                rows);
    }

    private static TestFigures.Script script(Quiz quiz, MarkRules rules, ResultTable.Answers answers) {
        List<BigDecimal> points = new ArrayList<>();
        List<Set<Integer>> chosen = new ArrayList<>();
        List<Boolean> omitted = new ArrayList<>();
        for (Question question : quiz.questions()) {
            Response response = answers.responses().of(question.id());
            Mark mark = Marker.mark(
                    question, response, Optional.ofNullable(answers.marks().get(question.id())), rules);
            points.add(mark.earned().orElse(BigDecimal.ZERO));
            chosen.add(response.chosen());
            omitted.add(response.isEmpty());
        }
        return new TestFigures.Script(points, chosen, omitted);
    }

    private static Row row(Marking marking, Question question, QuestionFigures figures, int scripts) {
        List<Choice> options = new ArrayList<>();
        List<String> words = new ArrayList<>();
        if (figures.facility() > 0.95) {
            words.add("Nearly all got it.");
        } else if (figures.facility() < 0.2 && scripts > 0) {
            words.add("Few got it.");
        }
        if (scripts >= ENOUGH) {
            figures.discrimination().map(FiguresPage::discrimination).ifPresent(words::add);
        }
        if (question instanceof ChoiceQuestion choice) {
            for (int i = 0; i < choice.options().size(); i++) {
                QuestionFigures.OptionFigures option = figures.options().get(i);
                String letter = choice.options().get(i).letter(i);
                boolean right = choice.key().contains(i);
                int width = scripts == 0 ? 0 : option.chosen() * 100 / scripts;
                options.add(new Choice(letter, right, option.chosen(), option.strong(), option.weak(), width));
                if (scripts >= ENOUGH && !right && option.strong() > option.weak() && option.strong() > 1) {
                    words.add("Option " + letter + " drew more strong than weak candidates: check the key.");
                }
                if (scripts >= ENOUGH && !right && option.chosen() == 0) {
                    words.add("Nobody chose option " + letter + ".");
                }
            }
        }
        return new Row(
                marking.number(question),
                question.particulars().stem().plain(),
                (int) Math.round(figures.facility() * 100),
                figures.discrimination().map(FiguresPage::two).orElse("\u2013"),
                figures.omitted(),
                options,
                words);
    }

    private static String discrimination(double value) {
        if (value < 0) {
            return "Strong candidates did worse here than weak ones: check the key and the wording.";
        }
        return value < POOR
                ? "It tells strong from weak candidates poorly."
                : value >= GOOD
                        ? "It tells strong from weak candidates well."
                        : "It tells strong from weak candidates fairly.";
    }

    /** Common practice: 0.7 is called enough for groups, 0.9 for decisions about single candidates. */
    private static String reliability(double alpha) {
        return alpha >= 0.9
                ? "Reliable enough to decide about single candidates."
                : alpha >= 0.7
                        ? "Reliable enough for a class test."
                        : "Not very reliable: more questions, or better ones, would help.";
    }

    private static List<Bar> histogram(List<TestFigures.Script> scripts, double most) {
        int[] counts = new int[BINS];
        for (TestFigures.Script script : scripts) {
            double total = script.points().stream()
                    .mapToDouble(BigDecimal::doubleValue)
                    .sum();
            counts[most == 0 ? 0 : Math.min(BINS - 1, (int) (total / most * BINS))]++;
        }
        int highest = Math.max(1, java.util.Arrays.stream(counts).max().orElse(1));
        List<Bar> bars = new ArrayList<>();
        for (int i = 0; i < BINS; i++) {
            int height = counts[i] * HEIGHT / highest;
            String label = one(most * i / BINS) + " to " + one(most * (i + 1) / BINS);
            bars.add(new Bar(i * PITCH, HEIGHT - height, height, counts[i], label));
        }
        return bars;
    }

    private static String one(double value) {
        return String.format(Locale.ROOT, "%.1f", value).replaceFirst("\\.0$", "");
    }

    private static String two(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }
}
