package org.tidyleaf.web.page;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.util.MultiValueMap;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.SomeCases;

/** The responses of one candidate by question id. */
public record Responses(Map<String, Response> byQuestion) {

    /** A field's name is this and the question's id. */
    static final String CHOSEN = "chosen:";

    static final String ENTERED = "entered:";

    /** More than this is no answer to a test. */
    private static final int LONGEST_ENTRY = 20_000;

    /** Among how many options or words one chooses. */
    private static final SomeCases<Integer> CHOOSABLE = new SomeCases<>() {
        @Override
        public Integer choice(ChoiceQuestion question) {
            return question.options().size();
        }

        @Override
        public Integer hottext(Hottext question) {
            return question.words().size();
        }

        @Override
        public Integer otherwise(Question question) {
            return 0;
        }
    };

    public static final Responses NONE = new Responses(Map.of());

    public Responses {
        byQuestion = Map.copyOf(byQuestion);
    }

    public Response of(String question) {
        return byQuestion.getOrDefault(question, Response.NONE);
    }

    /** Reads a page's fields; what does not fit the quiz is left out. */
    public static Responses parse(MultiValueMap<String, String> fields, Quiz quiz) {
        Map<String, Response> responses = new HashMap<>();
        for (Question question : quiz.questions()) {
            int options = question.match(CHOOSABLE);
            Set<Integer> chosen = new HashSet<>();
            for (String value : fields.getOrDefault(CHOSEN + question.id(), List.of())) {
                if (value.matches("\\d{1,3}") && Integer.parseInt(value) < options) {
                    chosen.add(Integer.parseInt(value));
                }
            }
            List<String> entered = fields.getOrDefault(ENTERED + question.id(), List.of()).stream()
                    .map(text -> text.substring(0, Math.min(text.length(), LONGEST_ENTRY)))
                    .toList();
            responses.put(question.id(), new Response(chosen, entered));
        }
        return new Responses(responses);
    }
}
