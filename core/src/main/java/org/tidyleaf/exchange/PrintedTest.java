package org.tidyleaf.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.ProseRows;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.source.Figure;

/**
 * A test on paper: name line and points at the top, questions kept together, room to write. With its key it has
 * answer lines, in habits that our own reader knows.
 */
public final class PrintedTest {

    private final PrintDocument document;
    private final Quiz quiz;
    private final boolean keyed;
    private final PrintedProse prose;
    private final PrintedSections sections;
    private final PrintedLabels labels;
    private final PrintedBanks banks;
    private final PrintedParts parts;

    private PrintedTest(PrintDocument document, Quiz quiz, boolean keyed, Function<String, Optional<Figure>> figures) {
        this.document = document;
        this.quiz = quiz;
        this.keyed = keyed;
        prose = new PrintedProse(document, figures);
        sections = new PrintedSections(document, quiz);
        labels = new PrintedLabels(quiz, sections);
        banks = new PrintedBanks(quiz);
        parts = new PrintedParts(document, prose, labels, keyed);
    }

    /**
     * Writes the document and leaves the stream open.
     *
     * @param keyed whether the right answers stand in it
     * @param figures gives a picture by its id; one that is not there is left out
     */
    public static void write(
            Paper paper, Quiz quiz, boolean keyed, Function<String, Optional<Figure>> figures, OutputStream out)
            throws IOException {
        PrintDocument document = paper.document(quiz.title(), out);
        new PrintedTest(document, quiz, keyed, figures).print();
        document.finish();
    }

    private void print() {
        document.begin(new PrintDocument.Look("Title", 0, true, 0))
                .run(quiz.title(), Set.of())
                .end();
        if (!keyed) {
            BigDecimal most = quiz.questions().stream().map(Marker::most).reduce(BigDecimal.ZERO, BigDecimal::add);
            String rule = PrintedProse.RULE;
            prose.line(
                    "Name: " + rule + rule + "   Date: " + rule + "   Score: ______ / "
                            + most.stripTrailingZeros().toPlainString(),
                    0);
        }
        int section = -1;
        int passage = -1;
        for (int i = 0; i < quiz.questions().size(); i++) {
            Question question = quiz.questions().get(i);
            Particulars particulars = question.particulars();
            if (particulars.section() >= 0 && particulars.section() != section) {
                sections.upTo(particulars.section());
            }
            section = particulars.section();
            if (particulars.stimulus() >= 0 && particulars.stimulus() != passage) {
                passage(particulars.stimulus());
            }
            passage = particulars.stimulus();
            question(question, i);
        }
        sections.rest();
    }

    private void passage(int place) {
        Prose text = labels.text(place);
        String label = labels.label(place);
        for (ProseRows block : ProseRows.of(text)) {
            if (block.isTable()) {
                prose.table(block);
            } else {
                document.begin(new PrintDocument.Look("", 0, true, 200)).run(label, Set.of());
                prose.write(block.text());
                document.end();
            }
            label = "";
        }
        prose.pictures(text);
    }

    private void question(Question question, int place) {
        Particulars particulars = question.particulars();
        boolean bankFirst = PrintedBanks.isBankFirst(question);
        if (bankFirst
                && !PrintedBanks.areSentences((GapMatch) question)
                && !banks.isBankPrinted((GapMatch) question, place)
                && !banks.isBankInPassage((GapMatch) question)) {
            prose.line("Word bank: " + String.join(", ", ((GapMatch) question).words()), PrintedProse.INDENT);
        }
        boolean unnumbered = bankFirst && particulars.number().isEmpty();
        if (sections.isAskedByHeading(question)) {
            below(question);
            return;
        }
        Prose stem = particulars.stem();
        int firstLine = question instanceof GapMatch ? PrintedBanks.instructionEnd(stem) : -1;
        List<ProseRows> blocks = ProseRows.of(firstLine < 0 ? stem : stem.cut(0, firstLine));
        boolean begun = !blocks.isEmpty() && !blocks.get(0).isTable();
        document.begin(new PrintDocument.Look("", 0, true, 200))
                .run(unnumbered ? "" : labels.label(question, place), Set.of());
        boolean numbered = question instanceof GapMatch gaps && PrintedBanks.areSentences(gaps);
        prose.write(begun ? blocks.get(0).text() : Prose.EMPTY, numbered);
        List<ProseRows> below = blocks.subList(begun ? 1 : 0, blocks.size());
        boolean endsInText = !below.isEmpty() && !below.get(below.size() - 1).isTable();
        if (!endsInText) {
            behindStem(question);
        }
        document.end();
        for (int i = 0; i < below.size(); i++) {
            if (below.get(i).isTable()) {
                prose.table(below.get(i));
                continue;
            }
            document.begin(PrintDocument.Look.PLAIN.kept());
            prose.write(below.get(i).text(), numbered);
            if (endsInText && i == below.size() - 1) {
                behindStem(question);
            }
            document.end();
        }
        prose.pictures(particulars.stem());
        below(question);
    }

    /** The pair to judge by, and the points. */
    private void behindStem(Question question) {
        if (labels.isJudgedPart(question)) {
            List<Option> pair = ((ChoiceQuestion) question).options();
            document.run(
                    " (" + pair.get(0).text().plain() + " / "
                            + pair.get(1).text().plain() + ")",
                    Set.of());
        }
        question.particulars().points().ifPresent(points -> document.run(points(points), Set.of()));
    }

    /** What stands below the stem. */
    private void below(Question question) {
        Particulars particulars = question.particulars();
        question.match(parts);
        if (keyed && !particulars.feedback().isEmpty()) {
            prose.said("Explanation: ", particulars.feedback());
        }
        if (!particulars.hint().isEmpty()) {
            prose.said("Hint: ", particulars.hint());
        }
        if (keyed) {
            for (String note : PlainTest.notes(particulars.settings())) {
                prose.said("", Prose.of(note));
            }
        }
    }

    private static String points(BigDecimal points) {
        String plain = points.stripTrailingZeros().toPlainString();
        return " (" + plain + (plain.equals("1") ? " point)" : " points)");
    }
}
