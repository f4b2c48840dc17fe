package org.tidyleaf.web.sitting;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.tidyleaf.marking.HandMark;
import org.tidyleaf.marking.Mark;
import org.tidyleaf.marking.MarkRules;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.web.page.Responses;

/**
 * The marks of a sitting, worked out anew from edition and answers each time.
 *
 * @param most for each question what could be earned
 * @param mean of the totals of all who handed in, to one decimal, or empty where nobody has
 * @param toMark open answers that wait for a person
 */
record ResultTable(List<String> numbers, List<String> most, String mostInAll, List<Row> rows, String mean, int toMark) {

    /**
     * One candidate.
     *
     * @param verdicts for each question "full", "part", "none" or "waits"
     */
    record Row(
            UUID script,
            String candidate,
            boolean handedIn,
            List<String> points,
            List<String> verdicts,
            String total) {}

    /** One candidate's answers, and the marks a person gave, by question id. */
    record Answers(
            UUID script,
            UUID person,
            String candidate,
            boolean handedIn,
            Responses responses,
            Map<String, HandMark> marks) {}

    static ResultTable of(Quiz quiz, MarkRules rules, List<Answers> scripts) {
        List<String> numbers = new ArrayList<>();
        List<String> most = new ArrayList<>();
        BigDecimal inAll = BigDecimal.ZERO;
        for (Question question : quiz.questions()) {
            String printed = question.particulars().number();
            numbers.add(printed.isEmpty() ? String.valueOf(numbers.size() + 1) : printed);
            most.add(plain(Marker.most(question)));
            inAll = inAll.add(Marker.most(question));
        }
        List<Row> rows = new ArrayList<>();
        BigDecimal sum = BigDecimal.ZERO;
        int handedIn = 0;
        int toMark = 0;
        for (Answers script : scripts) {
            Marked marked = mark(quiz, rules, script);
            rows.add(marked.row());
            if (script.handedIn()) {
                sum = sum.add(marked.total());
                handedIn++;
                toMark += marked.waiting();
            }
        }
        String mean = handedIn == 0
                ? ""
                : sum.divide(BigDecimal.valueOf(handedIn), 1, RoundingMode.HALF_UP)
                        .toPlainString();
        return new ResultTable(numbers, most, plain(inAll), rows, mean, toMark);
    }

    private record Marked(Row row, BigDecimal total, int waiting) {}

    private static Marked mark(Quiz quiz, MarkRules rules, Answers script) {
        List<String> points = new ArrayList<>();
        List<String> verdicts = new ArrayList<>();
        BigDecimal total = BigDecimal.ZERO;
        int waiting = 0;
        for (Question question : quiz.questions()) {
            Mark mark = Marker.mark(
                    question,
                    script.responses().of(question.id()),
                    Optional.ofNullable(script.marks().get(question.id())),
                    rules);
            points.add(mark.earned().map(ResultTable::plain).orElse("\u2013"));
            verdicts.add(mark.verdict());
            total = total.add(mark.earned().orElse(BigDecimal.ZERO));
            waiting += mark.waits() ? 1 : 0;
        }
        Row row = new Row(script.script(), script.candidate(), script.handedIn(), points, verdicts, plain(total));
        return new Marked(row, total, waiting);
    }

    private static String plain(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }
}
