package org.tidyleaf.web.review;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.Settings;
import org.tidyleaf.reading.AnswerText;
import org.tidyleaf.reading.ReadQuestion;
import org.tidyleaf.reading.Wording;
import org.tidyleaf.source.Segment;
import org.tidyleaf.tidying.Advice;
import org.tidyleaf.tidying.Tidied;
import org.tidyleaf.web.leaf.OpenLeaf;
import org.tidyleaf.web.page.ProseHtml;
import org.tidyleaf.web.page.TypeWords;

/**
 * A question beside its source.
 *
 * @param number the printed one, or its place
 * @param section the heading to show above it, or empty
 * @param sectionPlace 0-based, -1 where it belongs to none; {@code passagePlace} likewise
 * @param passage the passage to show above it as HTML, or empty
 * @param parts what is printed below the stem of pairs, orders, grids and banks
 * @param answer what is right where there are no options, as a teacher types it
 * @param answerHtml the same with its formulas and pictures
 * @param advice on how it is written
 * @param fixedOptions whether an option speaks of the others by their places, so that they are not shuffled
 * @param filed its settings in words, or empty
 * @param firstLine where its stem begins in the source
 */
record QuestionCard(
        String id,
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
        String answerHtml,
        boolean keyed,
        String points,
        String feedback,
        String hint,
        String evidence,
        List<String> advice,
        boolean fixedOptions,
        String filed,
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

    /** The cards of all questions; those of questions that did not change since an earlier state are taken from there. */
    static List<QuestionCard> of(Tidied tidied, ProseHtml html, Optional<ReviewState> earlier) {
        Map<String, ReadQuestion> origins = tidied.origins();
        Map<String, ReadQuestion> originsThen =
                earlier.map(state -> state.leaf().tidied().origins()).orElse(Map.of());
        Map<String, Integer> known = new HashMap<>();
        earlier.map(ReviewState::leaf)
                .map(OpenLeaf::tidied)
                .filter(then -> then.quiz().sections().equals(tidied.quiz().sections())
                        && then.quiz().stimuli().equals(tidied.quiz().stimuli()))
                .ifPresent(then -> {
                    for (int i = 0; i < then.quiz().questions().size(); i++) {
                        known.put(then.quiz().questions().get(i).id(), i);
                    }
                });
        Map<String, List<Tidied.OpenSnag>> snags =
                tidied.snags().stream().collect(Collectors.groupingBy(Tidied.OpenSnag::question));
        List<QuestionCard> cards = new ArrayList<>();
        for (int i = 0; i < tidied.quiz().questions().size(); i++) {
            Question question = tidied.quiz().questions().get(i);
            List<Tidied.OpenSnag> own = snags.getOrDefault(question.id(), List.of());
            Optional<QuestionCard> before = Optional.ofNullable(known.get(question.id()))
                    .filter(place -> earlier.orElseThrow()
                                    .leaf()
                                    .tidied()
                                    .quiz()
                                    .questions()
                                    .get(place)
                                    .equals(question)
                            && Objects.equals(originsThen.get(question.id()), origins.get(question.id())))
                    .map(place -> earlier.orElseThrow().cards().get(place));
            int place = i;
            cards.add(before.filter(card -> card.stands(tidied.quiz(), place, own))
                    .orElseGet(() -> of(tidied, place, html, own, Optional.ofNullable(origins.get(question.id())))));
        }
        return cards;
    }

    /** Whether the card still says the truth of an unchanged question: the same stands above it, the same snags are open. */
    private boolean stands(Quiz quiz, int index, List<Tidied.OpenSnag> open) {
        Particulars particulars = quiz.questions().get(index).particulars();
        return snags.equals(open)
                && !section.isEmpty()
                        == (beginsSection(quiz, index)
                                && !quiz.sections()
                                        .get(particulars.section())
                                        .title()
                                        .isEmpty())
                && !passage.isEmpty() == beginsPassage(quiz, index)
                && number.equals(number(particulars, index));
    }

    private static String number(Particulars particulars, int index) {
        return particulars.number().isEmpty() ? String.valueOf(index + 1) : particulars.number();
    }

    private static boolean beginsSection(Quiz quiz, int index) {
        int section = quiz.questions().get(index).particulars().section();
        return section >= 0
                && (index == 0 || quiz.questions().get(index - 1).particulars().section() != section);
    }

    private static boolean beginsPassage(Quiz quiz, int index) {
        int stimulus = quiz.questions().get(index).particulars().stimulus();
        return stimulus >= 0
                && (index == 0 || quiz.questions().get(index - 1).particulars().stimulus() != stimulus);
    }

    private static QuestionCard of(
            Tidied tidied, int index, ProseHtml html, List<Tidied.OpenSnag> snags, Optional<ReadQuestion> origin) {
        Quiz quiz = tidied.quiz();
        Question question = quiz.questions().get(index);
        Particulars particulars = question.particulars();
        boolean newSection = beginsSection(quiz, index);
        boolean newPassage = beginsPassage(quiz, index);
        boolean choice = question instanceof ChoiceQuestion;
        return new QuestionCard(
                question.id(),
                number(particulars, index),
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
                question.match(new PrintedParts(html)),
                choice ? "" : AnswerText.of(question),
                choice ? "" : question.match(new AnswerHtml(html)),
                question.isKeyed(),
                Marker.most(question).stripTrailingZeros().toPlainString(),
                html.html(particulars.feedback()),
                html.html(particulars.hint()),
                origin.map(QuestionCard::evidence).orElse(""),
                Advice.of(question),
                choice && ((ChoiceQuestion) question).options().stream().anyMatch(Wording::refersToOthers),
                filed(particulars.settings()),
                snags,
                origin.map(read -> read.stem().get(0).line()).orElse(0));
    }

    private static String filed(Settings settings) {
        List<String> words = new ArrayList<>();
        if (!settings.topic().isEmpty()) {
            words.add("Topic: " + settings.topic());
        }
        words.addAll(settings.labels());
        if (settings.required()) {
            words.add("Must be answered");
        }
        if (settings.order() != OptionOrder.USUAL) {
            words.add(settings.order() == OptionOrder.KEPT ? "Options never shuffled" : "Options always shuffled");
        }
        if (!settings.words().areNone()) {
            words.add("Length: " + settings.words().words());
        }
        settings.partial().ifPresent(partial -> words.add("Marks: " + partial.words()));
        return String.join(" \u00b7 ", words);
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
