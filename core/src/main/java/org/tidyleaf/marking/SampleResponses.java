package org.tidyleaf.marking;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.ExtendedText;
import org.tidyleaf.question.GapMatch;
import org.tidyleaf.question.Grid;
import org.tidyleaf.question.Hottext;
import org.tidyleaf.question.Match;
import org.tidyleaf.question.NumericEntry;
import org.tidyleaf.question.Order;
import org.tidyleaf.question.PictureLabel;
import org.tidyleaf.question.Question;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;

/** Responses made up to try a test: one that is right in all parts, and any that could be given at random. */
public final class SampleResponses {

    private SampleResponses() {}

    /** Earns all points; of a question without a key it answers nothing. An open one is answered by its model answer. */
    public static Response right(Question question) {
        return question.isKeyed() || question instanceof ExtendedText ? question.match(new Right()) : Response.NONE;
    }

    /** Whatever a candidate might do who knows nothing: the same for the same state of {@code random}. */
    public static Response random(Question question, Random random) {
        return question.match(new Guess(random));
    }

    private static Response entered(List<String> entered) {
        return new Response(Set.of(), entered);
    }

    private static Response entered(int parts, IntFunction<String> part) {
        return entered(IntStream.range(0, parts).mapToObj(part).toList());
    }

    private static Response firsts(List<List<String>> gaps) {
        return entered(
                gaps.size(), i -> gaps.get(i).isEmpty() ? "" : gaps.get(i).get(0));
    }

    private static final class Right implements Question.Cases<Response> {

        @Override
        public Response choice(ChoiceQuestion question) {
            return new Response(question.key(), List.of());
        }

        @Override
        public Response textEntry(TextEntry question) {
            return firsts(question.gaps());
        }

        @Override
        public Response numericEntry(NumericEntry question) {
            return entered(question.key()
                    .map(key -> List.of(key.value().toPlainString()))
                    .orElse(List.of()));
        }

        @Override
        public Response extendedText(ExtendedText question) {
            String model = question.answer().plain();
            return entered(List.of(model.isEmpty() ? "An answer in some words." : model));
        }

        @Override
        public Response match(Match question) {
            return entered(
                    question.key().size(), i -> String.valueOf(question.key().get(i)));
        }

        @Override
        public Response order(Order question) {
            return entered(
                    question.key().size(), i -> String.valueOf(question.key().indexOf(i)));
        }

        @Override
        public Response grid(Grid question) {
            return entered(
                    question.key().size(),
                    i -> question.key().get(i).stream()
                            .findFirst()
                            .map(String::valueOf)
                            .orElse(""));
        }

        @Override
        public Response gapMatch(GapMatch question) {
            return entered(question.key());
        }

        @Override
        public Response tableEntry(TableEntry question) {
            return firsts(question.gaps());
        }

        @Override
        public Response hottext(Hottext question) {
            Set<Integer> words = new HashSet<>();
            question.spanWords().forEach(words::addAll);
            return new Response(words, List.of());
        }

        @Override
        public Response pictureLabel(PictureLabel question) {
            return firsts(question.gaps());
        }
    }

    private record Guess(Random random) implements Question.Cases<Response> {

        private String place(int places) {
            return String.valueOf(random.nextInt(Math.max(1, places)));
        }

        /** A guess at what is typed is right now and then, so that a proof shows both. */
        private Response typed(List<List<String>> gaps) {
            return entered(
                    gaps.size(),
                    i -> gaps.get(i).isEmpty() || random.nextBoolean()
                            ? "guess"
                            : gaps.get(i).get(0));
        }

        private Response words(int gaps, List<String> words) {
            return entered(gaps, i -> words.isEmpty() ? "guess" : words.get(random.nextInt(words.size())));
        }

        @Override
        public Response choice(ChoiceQuestion question) {
            int count = question.options().size();
            if (!question.takesSeveral()) {
                return new Response(count == 0 ? Set.of() : Set.of(random.nextInt(count)), List.of());
            }
            Set<Integer> chosen = new HashSet<>();
            IntStream.range(0, count).filter(i -> random.nextBoolean()).forEach(chosen::add);
            return new Response(chosen, List.of());
        }

        @Override
        public Response textEntry(TextEntry question) {
            return typed(question.gaps());
        }

        @Override
        public Response numericEntry(NumericEntry question) {
            Optional<String> right = question.key().map(key -> key.value().toPlainString());
            return entered(List.of(right.filter(number -> random.nextBoolean()).orElse(place(100))));
        }

        @Override
        public Response extendedText(ExtendedText question) {
            return entered(List.of("Some words, written at random."));
        }

        @Override
        public Response match(Match question) {
            return entered(
                    question.lefts().size(), i -> place(question.targets().size()));
        }

        @Override
        public Response order(Order question) {
            List<Integer> places = new ArrayList<>(
                    IntStream.range(0, question.items().size()).boxed().toList());
            Collections.shuffle(places, random);
            return entered(places.stream().map(String::valueOf).toList());
        }

        @Override
        public Response grid(Grid question) {
            return entered(question.rows().size(), i -> place(question.columns().size()));
        }

        @Override
        public Response gapMatch(GapMatch question) {
            return words(question.particulars().stem().gapCount(), question.words());
        }

        @Override
        public Response tableEntry(TableEntry question) {
            return typed(question.gaps());
        }

        @Override
        public Response hottext(Hottext question) {
            Set<Integer> words = new HashSet<>();
            IntStream.range(0, question.words().size())
                    .filter(i -> random.nextInt(6) == 0)
                    .forEach(words::add);
            return new Response(words, List.of());
        }

        @Override
        public Response pictureLabel(PictureLabel question) {
            return question.words().isEmpty()
                    ? typed(question.gaps())
                    : words(question.labels().size(), question.words());
        }
    }
}
