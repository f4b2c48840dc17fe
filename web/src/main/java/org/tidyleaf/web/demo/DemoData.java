package org.tidyleaf.web.demo;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;
import org.tidyleaf.marking.Response;
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
import org.tidyleaf.question.Quiz;
import org.tidyleaf.question.TableEntry;
import org.tidyleaf.question.TextEntry;
import org.tidyleaf.web.account.AccountService;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.page.Responses;
import org.tidyleaf.web.sitting.ScriptService;
import org.tidyleaf.web.sitting.SittingService;

/** Fills an empty database with Wrenfield Evening College: three tests, one of them given out and answered. */
@Component
@Profile("demo")
class DemoData implements ApplicationRunner {

    private static final long SEED = 20;

    private static final List<String> CANDIDATES = List.of(
            "Mira Tolland",
            "Oswin Pask",
            "Jun Ferreby",
            "Tilda Marwood",
            "Abel Quist",
            "Noor Hathersage",
            "Piet Lanyon",
            "Sanna Brook",
            "Edda Crimple",
            "Rafe Ollerton",
            "Ines Varley",
            "Kofi Danby");

    private final AccountService accounts;
    private final LeafService leaves;
    private final SittingService sittings;
    private final ScriptService scripts;

    DemoData(AccountService accounts, LeafService leaves, SittingService sittings, ScriptService scripts) {
        this.accounts = accounts;
        this.leaves = leaves;
        this.sittings = sittings;
        this.scripts = scripts;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!accounts.isEmpty()) {
            return;
        }
        UUID teacher = accounts.make("Ines Okafor", "demo@wrenfield.example", "keeping-bees");
        UUID swarming = add(teacher, "swarming check.docx", DemoDocuments.swarming());
        add(teacher, "tape-measure.docx", DemoDocuments.tapeMeasure());
        add(teacher, "hive-inspection-2019.docx", DemoDocuments.hiveInspection());
        UUID sitting = sittings.publishAndOpen(teacher, swarming).orElseThrow();
        answer(
                sittings.summary(teacher, sitting).code(),
                leaves.open(teacher, swarming).tidied().quiz());
    }

    private UUID add(UUID teacher, String name, byte[] bytes) {
        UUID leaf = leaves.add(teacher, name, bytes);
        leaves.begin(leaf);
        leaves.read(leaf);
        return leaf;
    }

    /** Twelve candidates of different strength; the last has not handed in yet. */
    private void answer(String code, Quiz quiz) {
        Random random = new Random(SEED);
        for (int i = 0; i < CANDIDATES.size(); i++) {
            String token = scripts.begin(code, CANDIDATES.get(i)).orElseThrow();
            double strength = 0.45 + 0.5 * random.nextDouble();
            Map<String, Response> given = new TreeMap<>();
            for (Question question : quiz.questions()) {
                given.put(question.id(), question.match(new Guess(random.nextDouble() < strength, random)));
            }
            scripts.save(code, token, new Responses(given));
            if (i < CANDIDATES.size() - 1) {
                scripts.handIn(code, token);
            }
        }
    }

    private record Guess(boolean knows, Random random) implements Question.Cases<Response> {

        @Override
        public Response choice(ChoiceQuestion question) {
            Set<Integer> wrong =
                    new HashSet<>(Set.of(random.nextInt(question.options().size())));
            return new Response(knows ? question.key() : wrong, List.of());
        }

        @Override
        public Response textEntry(TextEntry question) {
            List<String> right = question.gaps().stream().map(gap -> gap.get(0)).toList();
            return new Response(Set.of(), knows ? right : List.of("honey"));
        }

        @Override
        public Response numericEntry(NumericEntry question) {
            String right =
                    question.key().map(key -> key.value().toPlainString()).orElse("1");
            return new Response(Set.of(), List.of(knows ? right : "12"));
        }

        @Override
        public Response match(Match question) {
            return new Response(
                    Set.of(), places(question.key(), question.targets().size()));
        }

        @Override
        public Response order(Order question) {
            List<Integer> right = IntStream.range(0, question.items().size())
                    .mapToObj(question.key()::indexOf)
                    .toList();
            return new Response(Set.of(), places(right, question.items().size()));
        }

        @Override
        public Response grid(Grid question) {
            List<Integer> right =
                    question.key().stream().map(key -> key.iterator().next()).toList();
            return new Response(Set.of(), places(right, question.columns().size()));
        }

        @Override
        public Response gapMatch(GapMatch question) {
            return new Response(
                    Set.of(), knows ? question.key() : List.of(question.words().get(0)));
        }

        @Override
        public Response tableEntry(TableEntry question) {
            return gaps(question.gaps());
        }

        @Override
        public Response pictureLabel(PictureLabel question) {
            return gaps(question.gaps());
        }

        /** Who does not know gets the first one right all the same. */
        private Response gaps(List<List<String>> gaps) {
            List<String> entered = new ArrayList<>();
            for (List<String> gap : gaps) {
                boolean given = knows || entered.isEmpty();
                entered.add(given && !gap.isEmpty() ? gap.get(0) : "");
            }
            return new Response(Set.of(), entered);
        }

        @Override
        public Response hottext(Hottext question) {
            Set<Integer> right = new HashSet<>();
            question.spanWords().stream().limit(knows ? Integer.MAX_VALUE : 1).forEach(right::addAll);
            return new Response(right, List.of());
        }

        private List<String> places(List<Integer> right, int choices) {
            return right.stream()
                    .map(place -> String.valueOf(knows ? place : random.nextInt(choices)))
                    .toList();
        }

        @Override
        public Response extendedText(ExtendedText question) {
            return knows
                    ? new Response(
                            Set.of(), List.of("Hold a box below, shake the branch once, close it and wait until dusk."))
                    : Response.NONE;
        }
    }
}
