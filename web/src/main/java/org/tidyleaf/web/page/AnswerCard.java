package org.tidyleaf.web.page;

import java.util.ArrayList;
import java.util.List;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.TextEntry;

/**
 * A question to be answered, the same in the proof and in a sitting. Holds nothing of its key, so that none can get into a
 * candidate's browser.
 *
 * @param stem as HTML; gaps inside a sentence are fields already
 * @param field how to type an answer below the stem: "none", "line", "number" or "area"
 * @param entered what is typed below the stem so far
 */
public record AnswerCard(
        String id,
        String number,
        String points,
        String section,
        String instructions,
        String passage,
        String stem,
        List<Choice> choices,
        boolean several,
        String field,
        String entered,
        boolean answered) {

    /** An option to choose. */
    public record Choice(int place, String letter, String html, boolean chosen) {}

    /** All questions of a quiz with the responses given so far. */
    public static List<AnswerCard> of(Quiz quiz, Responses responses, String figures) {
        List<AnswerCard> cards = new ArrayList<>();
        for (int i = 0; i < quiz.questions().size(); i++) {
            cards.add(of(quiz, i, responses, figures));
        }
        return cards;
    }

    private static AnswerCard of(Quiz quiz, int index, Responses responses, String figures) {
        Question question = quiz.questions().get(index);
        Particulars particulars = question.particulars();
        Response response = responses.of(question.id());
        int above =
                index == 0 ? -1 : quiz.questions().get(index - 1).particulars().section();
        int passageAbove =
                index == 0 ? -1 : quiz.questions().get(index - 1).particulars().stimulus();
        boolean newSection = particulars.section() >= 0 && particulars.section() != above;
        boolean newPassage = particulars.stimulus() >= 0 && particulars.stimulus() != passageAbove;
        ProseHtml plain = new ProseHtml(figures);
        ProseHtml withFields = new ProseHtml(figures, gap -> gapField(question.id(), gap, response));
        return new AnswerCard(
                question.id(),
                particulars.number().isEmpty() ? String.valueOf(index + 1) : particulars.number(),
                points(question),
                newSection ? quiz.sections().get(particulars.section()).title() : "",
                newSection
                        ? plain.html(quiz.sections().get(particulars.section()).instructions())
                        : "",
                newPassage
                        ? plain.html(quiz.stimuli().get(particulars.stimulus()).text())
                        : "",
                (question instanceof TextEntry ? withFields : plain).html(particulars.stem()),
                question instanceof ChoiceQuestion choice ? choices(choice, response, plain) : List.of(),
                question instanceof ChoiceQuestion choice && choice.takesSeveral(),
                field(question),
                response.entered().isEmpty() ? "" : response.entered().get(0),
                !response.isEmpty());
    }

    private static String points(Question question) {
        String number = Marker.most(question).stripTrailingZeros().toPlainString();
        return number + (number.equals("1") ? " point" : " points");
    }

    private static List<Choice> choices(ChoiceQuestion question, Response response, ProseHtml html) {
        List<Choice> choices = new ArrayList<>();
        for (int i = 0; i < question.options().size(); i++) {
            var option = question.options().get(i);
            String letter = option.label().isEmpty() ? String.valueOf((char) ('A' + i % 26)) : option.label();
            choices.add(new Choice(
                    i, letter, html.html(option.text()), response.chosen().contains(i)));
        }
        return choices;
    }

    private static String gapField(String id, int gap, Response response) {
        String value = gap <= response.entered().size() ? response.entered().get(gap - 1) : "";
        return "<input class=\"gap-entry\" autocomplete=\"off\" autocapitalize=\"off\" spellcheck=\"false\" name=\""
                + ProseHtml.escape(Responses.ENTERED + id) + "\" aria-label=\"gap " + gap + "\" value=\""
                + ProseHtml.escape(value) + "\">";
    }

    private static String field(Question question) {
        return question.match(new Question.Cases<>() {
            @Override
            public String choice(ChoiceQuestion choice) {
                return "none";
            }

            @Override
            public String textEntry(TextEntry entry) {
                return entry.particulars().stem().gapCount() > 0 ? "none" : "line";
            }

            @Override
            public String numericEntry(NumericEntry entry) {
                return "number";
            }

            @Override
            public String extendedText(ExtendedText text) {
                return "area";
            }
        });
    }
}
