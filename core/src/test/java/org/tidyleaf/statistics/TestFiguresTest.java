package org.tidyleaf.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.apache.commons.math3.stat.correlation.PearsonsCorrelation;
import org.apache.commons.math3.stat.descriptive.moment.StandardDeviation;
import org.junit.jupiter.api.Test;

class TestFiguresTest {

    /**
     * The five-item law-school test, section 6, of 1,000 candidates: R. D. Bock, M. Lieberman, "Fitting a response model for n
     * dichotomously scored items", Psychometrika 35 (1970), 179 to 197. How often each of the 32 patterns from 00000 to 11111
     * came (from memory; that they are right shows in the published shares of right answers).
     */
    private static final int[] PATTERNS = {
        3, 6, 2, 11, 1, 1, 3, 4, 1, 8, 0, 16, 0, 3, 2, 15, 10, 29, 14, 81, 3, 28, 15, 80, 16, 56, 21, 173, 11, 61, 28,
        298
    };

    private static List<TestFigures.Script> lawSchool() {
        List<TestFigures.Script> scripts = new ArrayList<>();
        for (int pattern = 0; pattern < PATTERNS.length; pattern++) {
            for (int i = 0; i < PATTERNS[pattern]; i++) {
                List<BigDecimal> points = new ArrayList<>();
                for (int item = 4; item >= 0; item--) {
                    points.add(BigDecimal.valueOf(pattern >> item & 1));
                }
                scripts.add(script(points));
            }
        }
        return scripts;
    }

    private static TestFigures.Script script(List<BigDecimal> points) {
        int size = points.size();
        return new TestFigures.Script(points, Collections.nCopies(size, Set.of()), Collections.nCopies(size, false));
    }

    private static TestFigures figures(List<TestFigures.Script> scripts) {
        int size = scripts.get(0).points().size();
        return TestFigures.of(Collections.nCopies(size, BigDecimal.ONE), Collections.nCopies(size, 0), scripts);
    }

    /** Shares of right answers as published; Cronbach's alpha of these data, 0.295, from memory. */
    @Test
    void thePublishedDataGiveThePublishedFigures() {
        TestFigures figures = figures(lawSchool());
        assertThat(figures.candidates()).isEqualTo(1000);
        assertThat(figures.questions())
                .extracting(QuestionFigures::facility)
                .containsExactly(0.924, 0.709, 0.553, 0.763, 0.870);
        assertThat(figures.alpha().orElseThrow()).isCloseTo(0.295, within(0.0005));
        assertThat(figures.error().orElseThrow())
                .isCloseTo(figures.spread() * Math.sqrt(1 - figures.alpha().orElseThrow()), within(1e-12));
    }

    /** Against Apache Commons Math, on points that are no whole numbers. */
    @Test
    void correlationAndSpreadAgreeWithALibrary() {
        Random random = new Random(7);
        List<TestFigures.Script> scripts = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            List<BigDecimal> points = new ArrayList<>();
            for (int q = 0; q < 4; q++) {
                points.add(BigDecimal.valueOf(random.nextInt(9)).divide(BigDecimal.valueOf(4)));
            }
            scripts.add(script(points));
        }
        TestFigures figures = figures(scripts);
        double[] totals =
                scripts.stream().mapToDouble(TestFigures.Script::total).toArray();
        assertThat(figures.spread()).isCloseTo(new StandardDeviation().evaluate(totals), within(1e-12));
        for (int q = 0; q < 4; q++) {
            int place = q;
            double[] own = scripts.stream()
                    .mapToDouble(script -> script.points().get(place).doubleValue())
                    .toArray();
            double[] rest = new double[own.length];
            for (int i = 0; i < own.length; i++) {
                rest[i] = totals[i] - own[i];
            }
            assertThat(figures.questions().get(q).discrimination().orElseThrow())
                    .isCloseTo(new PearsonsCorrelation().correlation(own, rest), within(1e-12));
        }
    }

    @Test
    void optionsAreCountedAmongStrongAndWeak() {
        List<TestFigures.Script> scripts = new ArrayList<>();
        for (int total : new int[] {9, 8, 7, 3, 2, 1}) {
            Set<Integer> chosen = total == 1 ? Set.of() : Set.of(total > 5 ? 0 : 1);
            scripts.add(new TestFigures.Script(
                    List.of(BigDecimal.valueOf(total > 5 ? 1 : 0), BigDecimal.valueOf(total)),
                    List.of(chosen, Set.of()),
                    List.of(chosen.isEmpty(), false)));
        }
        TestFigures figures = TestFigures.of(List.of(BigDecimal.ONE, BigDecimal.TEN), List.of(2, 0), scripts);
        QuestionFigures first = figures.questions().get(0);
        assertThat(first.options())
                .containsExactly(
                        new QuestionFigures.OptionFigures(3, 2, 0), new QuestionFigures.OptionFigures(2, 0, 1));
        assertThat(first.omitted()).isEqualTo(1);
        assertThat(first.facility()).isEqualTo(0.5);
    }

    @Test
    void whereNothingVariesNothingIsClaimed() {
        TestFigures same = figures(List.of(
                script(List.of(BigDecimal.ONE, BigDecimal.ONE)), script(List.of(BigDecimal.ONE, BigDecimal.ONE))));
        assertThat(same.alpha()).isEmpty();
        assertThat(same.questions().get(0).discrimination()).isEmpty();
        assertThat(TestFigures.of(List.of(), List.of(), List.of()).mean()).isZero();
    }
}
