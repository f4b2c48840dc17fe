package org.tidyleaf.web.review;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.AnswerText;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Wording;
import org.tidyleaf.source.Segment;
import org.tidyleaf.tidying.Advice;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.page.ProseHtml;
import org.tidyleaf.web.page.TypeWords;

/**
 * A question beside its source.
 *
 * @param place 1-based
 * @param number the printed one, or its place
 * @param section the heading to show above it, or empty
 * @param sectionPlace 0-based, -1 where it belongs to none; {@code passagePlace} likewise
 * @param passage the passage to show above it as HTML, or empty
 * @param parts what is printed below the stem of pairs, orders, grids and banks
 * @param answer what is right where there are no options, as a teacher types it
 * @param advice on how it is written
 * @param fixedOptions whether an option speaks of the others by their places, so that they are not shuffled
 * @param firstLine where its stem begins in the source
 */
record QuestionCard(
        String id,
        int place,
        String number,
        String type,
        String typeWords,
        String section,
        String instructions,
        String instructionsTyped,
        int sectionPlace,
        String passage,
        String passageTyped,
        int passagePlace,
        String stem,
        String stemTyped,
        List<OptionRow> options,
        boolean several,
        List<String> parts,
        String answer,
        boolean keyed,
        String points,
        String feedback,
        String hint,
        String evidence,
        List<String> advice,
        boolean fixedOptions,
        List<Tidied.OpenSnag> snags,
        int firstLine) {

    /**
     * @param line the source line it was read from, 0 where there is none
     */
    record OptionRow(int place, String letter, String html, String typed, boolean keyed, String feedback, int line) {}

    public boolean isChoice() {
        return !options.isEmpty();
    }

    public boolean isOfParts() {
        return List.of("match", "order", "grid", "gap-match", "table-entry", "picture-label")
                .contains(type);
    }

    public boolean isLongAnswer() {
        return type.equals("extended-text");
    }

    static List<QuestionCard> of(Tidied tidied, ProseHtml html) {
        List<QuestionCard> cards = new ArrayList<>();
        for (int i = 0; i < tidied.quiz().questions().size(); i++) {
            cards.add(of(tidied, i, html));
        }
        return cards;
    }

    static Optional<QuestionCard> of(Tidied tidied, String id, ProseHtml html) {
        List<Question> questions = tidied.quiz().questions();
        for (int i = 0; i < questions.size(); i++) {
            if (questions.get(i).id().equals(id)) {
                return Optional.of(of(tidied, i, html));
            }
        }
        return Optional.empty();
    }

    private static QuestionCard of(Tidied tidied, int index, ProseHtml html) {
        Quiz quiz = tidied.quiz();
        Question question = quiz.questions().get(index);
        Particulars particulars = question.particulars();
        Optional<Particulars> above = index == 0
                ? Optional.empty()
                : Optional.of(quiz.questions().get(index - 1).particulars());
        Optional<ReadQuestion> origin = tidied.origin(question.id());
        boolean newSection = particulars.section() >= 0
                && above.filter(a -> a.section() == particulars.section()).isEmpty();
        boolean newPassage = particulars.stimulus() >= 0
                && above.filter(a -> a.stimulus() == particulars.stimulus()).isEmpty();
        boolean choice = question instanceof ChoiceQuestion;
        return new QuestionCard(
                question.id(),
                index + 1,
                particulars.number().isEmpty() ? String.valueOf(index + 1) : particulars.number(),
                question.type().label(),
                TypeWords.of(question.type()),
                newSection ? quiz.sections().get(particulars.section()).title() : "",
                newSection
                        ? html.html(quiz.sections().get(particulars.section()).instructions())
                        : "",
                newSection
                        ? quiz.sections()
                                .get(particulars.section())
                                .instructions()
                                .typed()
                        : "",
                particulars.section(),
                newPassage
                        ? html.html(quiz.stimuli().get(particulars.stimulus()).text())
                        : "",
                newPassage ? quiz.stimuli().get(particulars.stimulus()).text().typed() : "",
                particulars.stimulus(),
                html.html(particulars.stem()),
                particulars.stem().typed(),
                choice ? options((ChoiceQuestion) question, origin, html) : List.of(),
                choice && ((ChoiceQuestion) question).takesSeveral(),
                question.match(new PrintedParts()),
                choice ? "" : AnswerText.of(question),
                question.isKeyed(),
                Marker.most(question).stripTrailingZeros().toPlainString(),
                html.html(particulars.feedback()),
                html.html(particulars.hint()),
                origin.map(QuestionCard::evidence).orElse(""),
                Advice.of(question),
                choice && ((ChoiceQuestion) question).options().stream().anyMatch(Wording::refersToOthers),
                tidied.snags().stream()
                        .filter(s -> s.question().equals(question.id()))
                        .toList(),
                origin.map(read -> read.stem().get(0).line()).orElse(0));
    }

    private static String evidence(ReadQuestion read) {
        return read.evidence().stream()
                .map(words -> words.isEmpty() ? "" : Character.toUpperCase(words.charAt(0)) + words.substring(1))
                .collect(Collectors.joining(" \u00b7 "));
    }

    private static List<OptionRow> options(ChoiceQuestion question, Optional<ReadQuestion> origin, ProseHtml html) {
        List<OptionRow> rows = new ArrayList<>();
        for (int i = 0; i < question.options().size(); i++) {
            Option option = question.options().get(i);
            int place = i;
            int line = origin.filter(read -> place < read.options().size())
                    .flatMap(read -> read.options().get(place).stream().findFirst())
                    .map(Segment::line)
                    .orElse(0);
            rows.add(new OptionRow(
                    i,
                    option.letter(i),
                    html.html(option.text()),
                    option.text().typed(),
                    question.key().contains(i),
                    html.html(option.feedback()),
                    line));
        }
        return rows;
    }

    /** The source lines of its stem and options that threads lead to, each once. */
    public String threadLines() {
        return Stream.concat(Stream.of(firstLine), options.stream().map(OptionRow::line))
                .filter(line -> line > 0)
                .distinct()
                .map(String::valueOf)
                .collect(Collectors.joining(" "));
    }
}
