package org.tidyleaf.exchange;

import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Section;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TrueFalse;
import org.tidyleaf.source.Emphasis;

/** The heads of sections, and what they ask for the questions right below them. */
final class PrintedSections {

    private static final Pattern NAMED = Pattern.compile("(\\p{L}+\\s+)\\d{1,2}(\\s?[.:)]\\s+)");

    private final PrintDocument document;
    private final Quiz quiz;
    private int sectionsPrinted;

    PrintedSections(PrintDocument document, Quiz quiz) {
        this.document = document;
        this.quiz = quiz;
    }

    /** Prints the head of a section, before it those of earlier ones that have no question. */
    void upTo(int last) {
        for (int i = sectionsPrinted; i < last; i++) {
            section(quiz.sections().get(i));
        }
        section(quiz.sections().get(last));
        sectionsPrinted = Math.max(sectionsPrinted, last + 1);
    }

    /**
     * "Exercise 3. " for a question in no section below one called "Exercise 2. True or false": so it is seen that it is not to be
     * judged as well. Empty below any other section.
     */
    Optional<String> headedAs(String number) {
        int last = sectionsPrinted - 1;
        boolean judging = last >= 0
                && quiz.questions().stream()
                        .filter(question -> question.particulars().section() == last)
                        .allMatch(TrueFalse.class::isInstance);
        Matcher named = NAMED.matcher(judging ? quiz.sections().get(last).title() : "");
        return named.lookingAt() && number.matches("\\d{1,2}")
                ? Optional.of(named.group(1) + number + named.group(2))
                : Optional.empty();
    }

    private void section(Section section) {
        document.begin(new PrintDocument.Look("Heading1", 0, true, 280))
                .run(section.title(), Set.of())
                .end();
        if (!section.instructions().isEmpty()) {
            document.begin(PrintDocument.Look.PLAIN.kept());
            for (Inline part : section.instructions().parts()) {
                document.run(part.plain(), Set.of(Emphasis.ITALIC));
            }
            document.end();
        }
    }

    /** A table or pairs right below a heading that asks for them have no stem but the heading's own words. */
    boolean isAskedByHeading(Question question) {
        Particulars particulars = question.particulars();
        boolean block = question instanceof Match || question instanceof TableEntry || question instanceof Grid;
        String title = particulars.section() < 0
                ? ""
                : quiz.sections().get(particulars.section()).title();
        return block
                && particulars.number().isEmpty()
                && particulars.section() >= 0
                && !particulars.stem().isEmpty()
                && withoutPoints(title).endsWith(particulars.stem().plain())
                && (particulars.points().isEmpty()
                        || !withoutPoints(title).equals(title) && isAloneIn(particulars.section()));
    }

    private boolean isAloneIn(int section) {
        return quiz.questions().stream()
                        .filter(question -> question.particulars().section() == section)
                        .count()
                == 1;
    }

    private static String withoutPoints(String title) {
        return title.replaceFirst("\\s*[(\\[][^()\\[\\]]*\\d[^()\\[\\]]*[)\\]]\\s*$", "");
    }

    /** Those behind the last question. */
    void rest() {
        if (sectionsPrinted < quiz.sections().size()) {
            upTo(quiz.sections().size() - 1);
        }
    }
}
