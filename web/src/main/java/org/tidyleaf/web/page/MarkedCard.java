package org.tidyleaf.web.page;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.tidyleaf.marking.HandMark;
import org.tidyleaf.marking.Mark;
import org.tidyleaf.marking.MarkRules;
import org.tidyleaf.marking.Marker;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Option;
import org.tidyleaf.question.Particulars;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.reading.AnswerText;

/**
 * An answered question with its mark and what is right: for the teacher's proof.
 *
 * @param verdict "full", "part", "none" or "waits"
 * @param answer what was typed, empty for choices
 * @param note what the teacher wrote to it, or empty
 * @param right what is right where there are no options, in words
 */
public record MarkedCard(
        String id,
        String number,
        String stem,
        List<Choice> choices,
        String answer,
        String right,
        String feedback,
        String note,
        String verdict,
        String points) {

    /** An option with what was chosen and what is right. */
    public record Choice(String letter, String html, boolean chosen, boolean right, String feedback) {}

    public static List<MarkedCard> of(Quiz quiz, Responses responses, String figures) {
        return of(quiz, responses, Map.of(), MarkRules.USUAL, figures);
    }

    /** @param given marks by hand, by question id */
    public static List<MarkedCard> of(
            Quiz quiz, Responses responses, Map<String, HandMark> given, MarkRules rules, String figures) {
        List<MarkedCard> cards = new ArrayList<>();
        for (int i = 0; i < quiz.questions().size(); i++) {
            cards.add(of(quiz.questions().get(i), i, responses, given, rules, new ProseHtml(figures)));
        }
        return cards;
    }

    /** The sum of what is marked so far, of all that could be earned. */
    public static String total(Quiz quiz, Responses responses) {
        return total(quiz, responses, Map.of(), MarkRules.USUAL);
    }

    public static String total(Quiz quiz, Responses responses, Map<String, HandMark> given, MarkRules rules) {
        BigDecimal earned = BigDecimal.ZERO;
        BigDecimal most = BigDecimal.ZERO;
        for (Question question : quiz.questions()) {
            Mark mark = Marker.mark(
                    question, responses.of(question.id()), Optional.ofNullable(given.get(question.id())), rules);
            earned = earned.add(mark.earned().orElse(BigDecimal.ZERO));
            most = most.add(mark.most());
        }
        return plain(earned) + " of " + plain(most);
    }

    private static MarkedCard of(
            Question question,
            int index,
            Responses responses,
            Map<String, HandMark> given,
            MarkRules rules,
            ProseHtml html) {
        Particulars particulars = question.particulars();
        Response response = responses.of(question.id());
        Optional<HandMark> hand = Optional.ofNullable(given.get(question.id()));
        Mark mark = Marker.mark(question, response, hand, rules);
        boolean choice = question instanceof ChoiceQuestion;
        return new MarkedCard(
                question.id(),
                particulars.number().isEmpty() ? String.valueOf(index + 1) : particulars.number(),
                html.html(particulars.stem()),
                choice ? choices((ChoiceQuestion) question, response, html) : List.of(),
                question.match(new GivenAnswer(response)),
                choice ? "" : AnswerText.of(question).replace("\n", " \u00b7 "),
                html.html(particulars.feedback()),
                hand.map(HandMark::note).orElse(""),
                mark.verdict(),
                points(mark));
    }

    private static List<Choice> choices(ChoiceQuestion question, Response response, ProseHtml html) {
        List<Choice> choices = new ArrayList<>();
        for (int i = 0; i < question.options().size(); i++) {
            Option option = question.options().get(i);
            String letter = option.letter(i);
            boolean chosen = response.chosen().contains(i);
            choices.add(new Choice(
                    letter,
                    html.html(option.text()),
                    chosen,
                    question.key().contains(i),
                    chosen ? html.html(option.feedback()) : ""));
        }
        return choices;
    }

    private static String points(Mark mark) {
        return mark.earned().map(MarkedCard::plain).orElse("\u2013") + " of " + plain(mark.most());
    }

    private static String plain(BigDecimal number) {
        return number.stripTrailingZeros().toPlainString();
    }
}
