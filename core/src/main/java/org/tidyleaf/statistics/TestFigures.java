package org.tidyleaf.statistics;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Figures of a whole test, by classical test theory.
 *
 * @param candidates how many scripts
 * @param mean of the points in all
 * @param spread standard deviation of the points in all, of the sample (divisor n - 1); 0 for one script
 * @param alpha Cronbach's alpha: k / (k - 1) * (1 - sum of the questions' variances / variance of the totals) (Cronbach,
 *     Psychometrika 16, 1951, page 297); for questions that are right or wrong it is Kuder and Richardson's formula 20. Empty for
 *     fewer than two questions or scripts, or where totals do not vary.
 * @param error standard error of measurement: spread * sqrt(1 - alpha)
 * @param questions in order
 */
public record TestFigures(
        int candidates,
        double mean,
        double spread,
        Optional<Double> alpha,
        Optional<Double> error,
        List<QuestionFigures> questions) {

    public TestFigures {
        questions = List.copyOf(questions);
    }

    /**
     * One candidate's script as figures see it.
     *
     * @param points for each question what was earned
     * @param chosen for each question the 0-based places of the options chosen; empty sets for questions without options
     * @param omitted for each question whether it was left empty
     */
    public record Script(List<BigDecimal> points, List<Set<Integer>> chosen, List<Boolean> omitted) {
        double total() {
            return points.stream().mapToDouble(BigDecimal::doubleValue).sum();
        }
    }

    /**
     * Works them out.
     *
     * @param most for each question what could be earned
     * @param options for each question how many options it has
     */
    public static TestFigures of(List<BigDecimal> most, List<Integer> options, List<Script> scripts) {
        double[] totals = scripts.stream().mapToDouble(Script::total).toArray();
        double variance = variance(totals);
        double ofQuestions = 0;
        List<QuestionFigures> questions = new ArrayList<>();
        List<Script> ranked = scripts.stream()
                .sorted(Comparator.comparingDouble(Script::total).reversed())
                .toList();
        for (int q = 0; q < most.size(); q++) {
            double[] points = points(scripts, q);
            ofQuestions += variance(points);
            questions.add(question(q, most.get(q), options.get(q), scripts, ranked, points, totals));
        }
        int k = most.size();
        Optional<Double> alpha = k < 2 || scripts.size() < 2 || variance == 0
                ? Optional.empty()
                : Optional.of(k / (k - 1.0) * (1 - ofQuestions / variance));
        double spread = Math.sqrt(variance);
        Optional<Double> error = alpha.map(value -> spread * Math.sqrt(Math.max(0, 1 - value)));
        return new TestFigures(scripts.size(), mean(totals), spread, alpha, error, questions);
    }

    private static double[] points(List<Script> scripts, int question) {
        return scripts.stream()
                .mapToDouble(script -> script.points().get(question).doubleValue())
                .toArray();
    }

    private static QuestionFigures question(
            int place,
            BigDecimal most,
            int options,
            List<Script> scripts,
            List<Script> ranked,
            double[] points,
            double[] totals) {
        double[] rest = IntStream.range(0, totals.length)
                .mapToDouble(i -> totals[i] - points[i])
                .toArray();
        int third = ranked.size() / 3;
        List<QuestionFigures.OptionFigures> chosen = new ArrayList<>();
        for (int option = 0; option < options; option++) {
            chosen.add(new QuestionFigures.OptionFigures(
                    chose(ranked, place, option),
                    chose(ranked.subList(0, third), place, option),
                    chose(ranked.subList(ranked.size() - third, ranked.size()), place, option)));
        }
        double facility = most.signum() == 0 ? 0 : mean(points) / most.doubleValue();
        int omitted = (int)
                scripts.stream().filter(script -> script.omitted().get(place)).count();
        return new QuestionFigures(facility, correlation(points, rest), omitted, chosen);
    }

    private static int chose(List<Script> scripts, int question, int option) {
        return (int) scripts.stream()
                .filter(script -> script.chosen().get(question).contains(option))
                .count();
    }

    private static double mean(double[] values) {
        return values.length == 0
                ? 0
                : IntStream.range(0, values.length).mapToDouble(i -> values[i]).sum() / values.length;
    }

    private static double variance(double[] values) {
        if (values.length < 2) {
            return 0;
        }
        double mean = mean(values);
        double sum = 0;
        for (double value : values) {
            sum += (value - mean) * (value - mean);
        }
        return sum / (values.length - 1);
    }

    /** Pearson's product-moment correlation; empty where one of both does not vary. */
    private static Optional<Double> correlation(double[] x, double[] y) {
        double meanX = mean(x);
        double meanY = mean(y);
        double both = 0;
        double squaresX = 0;
        double squaresY = 0;
        for (int i = 0; i < x.length; i++) {
            both += (x[i] - meanX) * (y[i] - meanY);
            squaresX += (x[i] - meanX) * (x[i] - meanX);
            squaresY += (y[i] - meanY) * (y[i] - meanY);
        }
        return squaresX == 0 || squaresY == 0 ? Optional.empty() : Optional.of(both / Math.sqrt(squaresX * squaresY));
    }
}
