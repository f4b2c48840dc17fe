package org.tidyleaf.web.page;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.util.MultiValueMap;
import org.tidyleaf.marking.Response;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.SomeCases;

/** The responses of one candidate by question id. */
public record Responses(Map<String, Response> byQuestion) {

    /** A field's name is this and the question's id. */
    static final String CHOSEN = "chosen:";

    static final String ENTERED = "entered:";

    /** A part's field is named by this, the question's id and the part's 0-based place, so that parts may be moved about. */
    static final String PART = "part:";

    /** Of how many parts a question has that are each answered by a choice of their own. */
    private static final SomeCases<Integer> PARTS = new SomeCases<>() {
        @Override
        public Integer match(Match question) {
            return question.lefts().size();
        }

        @Override
        public Integer order(Order question) {
            return question.items().size();
        }

        @Override
        public Integer grid(Grid question) {
            return question.rows().size();
        }

        @Override
        public Integer otherwise(Question question) {
            return 0;
        }
    };

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
            responses.put(question.id(), new Response(chosen, entered(fields, question)));
        }
        return new Responses(responses);
    }

    private static List<String> entered(MultiValueMap<String, String> fields, Question question) {
        int parts = question.match(PARTS);
        Stream<String> texts = parts == 0
                ? fields.getOrDefault(ENTERED + question.id(), List.of()).stream()
                : IntStream.range(0, parts)
                        .mapToObj(i -> Optional.ofNullable(fields.getFirst(PART + question.id() + ":" + i))
                                .orElse(""));
        return texts.map(text -> text.substring(0, Math.min(text.length(), LONGEST_ENTRY)))
                .toList();
    }
}
