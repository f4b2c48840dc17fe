package org.tidyleaf.web.page;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.stream.IntStream;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Inline;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Prose;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.SomeCases;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.question.WordLimits;
import org.tidyleaf.source.Emphasis;

/**
 * A question to be answered, the same in the proof and in a sitting. Holds nothing of its key, so that none can get into a
 * candidate's browser.
 *
 * @param passage what it is about, as HTML, the same for all its questions; {@code passagePlace} tells passages apart
 * @param stem as HTML; gaps inside a sentence are fields already
 * @param body what stands below the stem to be filled or marked, as HTML: a table, places of a picture, a text
 * @param field how to type an answer below the stem: "none", "line", "number" or "area"
 * @param entered what is typed below the stem so far
 * @param kind the type's label
 * @param required whether it must be answered before handing in
 * @param words how long a written answer should be
 * @param flagged whether the candidate wants to come back to it
 */
public record AnswerCard(
        String id,
        String number,
        String points,
        String section,
        String instructions,
        String passage,
        int passagePlace,
        String stem,
        List<Choice> choices,
        boolean several,
        List<Part> parts,
        String body,
        String field,
        String entered,
        boolean answered,
        String kind,
        boolean required,
        boolean flagged,
        WordLimits words) {

    /** Whether the length of an answer is to be said: only where the question does not say it itself. */
    public boolean isLengthUnsaid() {
        return !words.areNone() && !stem.contains(String.valueOf(Math.max(words.least(), words.most())));
    }

    /** One of several parts to choose for: a left of pairs, a step to order, a row of a grid. */
    public record Part(String html, List<PartChoice> choices) {}

    /**
     * What may be chosen for a part.
     *
     * @param value its 0-based place
     * @param text a line for lists that hold nothing but letters; only its letter where it is more than text
     * @param html all of it
     */
    public record PartChoice(int value, String text, String html, boolean chosen) {}

    /** Whether what may be chosen for the parts is more than a line of letters, and has to be shown beside the lists. */
    public boolean isLettered() {
        return kind.equals("match")
                && !parts.isEmpty()
                && parts.get(0).choices().stream()
                        .anyMatch(choice -> !choice.html().equals(choice.text()));
    }

    /** An option to choose. */
    public record Choice(int place, String letter, String html, boolean chosen) {}

    /** The same with its options in another order, lettered anew; what each stands for stays its place in the question. */
    public AnswerCard withChoices(List<Integer> order) {
        List<Choice> shuffled = new ArrayList<>();
        for (int i = 0; i < order.size(); i++) {
            Choice choice = choices.get(order.get(i));
            shuffled.add(new Choice(choice.place(), choices.get(i).letter(), choice.html(), choice.chosen()));
        }
        return new AnswerCard(
                id,
                number,
                points,
                section,
                instructions,
                passage,
                passagePlace,
                stem,
                shuffled,
                several,
                parts,
                body,
                field,
                entered,
                answered,
                kind,
                required,
                flagged,
                words);
    }

    /** Questions that stand together: about one passage, or each by itself. */
    public record Group(String passage, List<AnswerCard> cards) {}

    /** Neighbours about the same passage together, so that it stays in view with each of them. */
    public static List<Group> groups(List<AnswerCard> cards) {
        List<Group> groups = new ArrayList<>();
        for (AnswerCard card : cards) {
            Group last = groups.isEmpty() ? null : groups.get(groups.size() - 1);
            boolean joins =
                    last != null && !card.passage.isEmpty() && last.cards().get(0).passagePlace == card.passagePlace;
            if (joins) {
                last.cards().add(card);
            } else {
                groups.add(new Group(card.passage, new ArrayList<>(List.of(card))));
            }
        }
        return groups;
    }

    /** All questions of a quiz with the responses given so far. */
    public static List<AnswerCard> of(Quiz quiz, Responses responses, String figures) {
        return of(quiz, responses, Set.of(), figures);
    }

    /** @param flagged the ids of those to come back to */
    public static List<AnswerCard> of(Quiz quiz, Responses responses, Set<String> flagged, String figures) {
        List<AnswerCard> cards = new ArrayList<>();
        for (int i = 0; i < quiz.questions().size(); i++) {
            cards.add(of(quiz, i, responses, flagged, figures));
        }
        return cards;
    }

    private static AnswerCard of(Quiz quiz, int index, Responses responses, Set<String> flagged, String figures) {
        Question question = quiz.questions().get(index);
        Particulars particulars = question.particulars();
        Response response = responses.of(question.id());
        int above =
                index == 0 ? -1 : quiz.questions().get(index - 1).particulars().section();
        boolean newSection = particulars.section() >= 0 && particulars.section() != above;
        ProseHtml plain = new ProseHtml(figures);
        EntryFields fields = new EntryFields(figures, response);
        return new AnswerCard(
                question.id(),
                particulars.number().isEmpty() ? String.valueOf(index + 1) : particulars.number(),
                points(question),
                newSection ? quiz.sections().get(particulars.section()).title() : "",
                newSection
                        ? plain.html(quiz.sections().get(particulars.section()).instructions())
                        : "",
                particulars.stimulus() >= 0
                        ? plain.html(quiz.stimuli().get(particulars.stimulus()).text())
                        : "",
                particulars.stimulus(),
                question.match(new StemHtml(fields, plain)),
                question instanceof ChoiceQuestion choice ? choices(choice, response, plain) : List.of(),
                question instanceof ChoiceQuestion choice && choice.takesSeveral(),
                question.match(new Parts(response, plain)),
                question.match(new BodyHtml(fields)),
                field(question),
                response.entered().isEmpty() ? "" : response.entered().get(0),
                !response.isEmpty(),
                question.type().label(),
                particulars.settings().required(),
                flagged.contains(question.id()),
                particulars.settings().words());
    }

    private static String points(Question question) {
        String number = Marker.most(question).stripTrailingZeros().toPlainString();
        return number + (number.equals("1") ? " point" : " points");
    }

    private static List<Choice> choices(ChoiceQuestion question, Response response, ProseHtml html) {
        List<Choice> choices = new ArrayList<>();
        for (int i = 0; i < question.options().size(); i++) {
            var option = question.options().get(i);
            String letter = option.letter(i);
            choices.add(new Choice(
                    i, letter, html.html(option.text()), response.chosen().contains(i)));
        }
        return choices;
    }

    /** The stem, with fields in its gaps where they are answered there. */
    private record StemHtml(EntryFields fields, ProseHtml plain) implements SomeCases<String> {

        @Override
        public String textEntry(TextEntry question) {
            return fields.text(question).html(question.particulars().stem());
        }

        @Override
        public String gapMatch(GapMatch question) {
            return fields.bank(question).html(question.particulars().stem());
        }

        @Override
        public String hottext(Hottext question) {
            return plain.html(question.instruction());
        }

        @Override
        public String otherwise(Question question) {
            return plain.html(question.particulars().stem());
        }
    }

    private record BodyHtml(EntryFields fields) implements SomeCases<String> {

        @Override
        public String tableEntry(TableEntry question) {
            return fields.table(question);
        }

        @Override
        public String pictureLabel(PictureLabel question) {
            return fields.places(question);
        }

        @Override
        public String hottext(Hottext question) {
            return fields.words(question);
        }

        @Override
        public String otherwise(Question question) {
            return "";
        }
    }

    /** The parts of a question that are each answered by a choice of their own. */
    private record Parts(Response response, ProseHtml html) implements SomeCases<List<Part>> {

        @Override
        public List<Part> match(Match question) {
            boolean plain = question.targets().stream().allMatch(Parts::isPlain);
            return parts(
                    question.lefts(),
                    question.targets(),
                    (place, target) -> plain ? target.plain() : String.valueOf((char) ('A' + place)));
        }

        @Override
        public List<Part> order(Order question) {
            List<Prose> places = IntStream.rangeClosed(1, question.items().size())
                    .mapToObj(place -> Prose.of(String.valueOf(place)))
                    .toList();
            return parts(question.items(), places, (place, number) -> number.plain());
        }

        @Override
        public List<Part> grid(Grid question) {
            return parts(
                    question.rows(),
                    question.columns(),
                    (place, head) -> head.plain().isEmpty() ? "column " + (place + 1) : head.plain());
        }

        /** Whether nothing is lost where only letters can be shown. */
        private static boolean isPlain(Prose prose) {
            return prose.parts().stream()
                    .allMatch(part -> part instanceof Inline.Text text
                            && !text.emphasis().contains(Emphasis.SUPERSCRIPT)
                            && !text.emphasis().contains(Emphasis.SUBSCRIPT));
        }

        private List<Part> parts(List<Prose> rows, List<Prose> choices, BiFunction<Integer, Prose, String> line) {
            List<Part> parts = new ArrayList<>();
            for (int i = 0; i < rows.size(); i++) {
                String entered =
                        i < response.entered().size() ? response.entered().get(i) : "";
                List<PartChoice> offered = IntStream.range(0, choices.size())
                        .mapToObj(c -> new PartChoice(
                                c,
                                line.apply(c, choices.get(c)),
                                html.html(choices.get(c)),
                                entered.equals(String.valueOf(c))))
                        .toList();
                parts.add(new Part(html.html(rows.get(i)), offered));
            }
            return parts;
        }

        @Override
        public List<Part> otherwise(Question question) {
            return List.of();
        }
    }

    private static String field(Question question) {
        if (question instanceof NumericEntry) {
            return "number";
        }
        if (question instanceof ExtendedText) {
            return "area";
        }
        boolean below =
                question instanceof TextEntry && question.particulars().stem().gapCount() == 0;
        return below ? "line" : "none";
    }
}
