package org.tidyleaf.web.sitting;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.tidyleaf.question.ChoiceQuestion;
import org.tidyleaf.question.OptionOrder;
import org.tidyleaf.question.Question;
import org.tidyleaf.shuffling.Shuffling;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.page.AnswerCard;
import org.tidyleaf.web.page.MarkedCard;
import org.tidyleaf.web.page.Pictures;
import org.tidyleaf.web.page.Responses;

/** The candidate's pages, open to everybody who has the link. */
@Controller
@RequestMapping("/s/{code}")
class CandidateController {

    private static final String COOKIE = "script";

    /** The field that says which questions a page holds. */
    private static final String ASKED = "asked";

    /** A field's name is this and the id of a question to come back to. */
    private static final String FLAG = "flag:";

    /** A script can be gone on with for as long as any sitting may last. */
    private static final Duration KEPT = Duration.ofDays(30);

    private final ScriptService scripts;
    private final LeafService leaves;
    private final Clock clock;
    private final ZoneId zone;

    CandidateController(
            ScriptService scripts, LeafService leaves, Clock clock, @Value("${tidyleaf.zone:}") String zone) {
        this.scripts = scripts;
        this.leaves = leaves;
        this.clock = clock;
        this.zone = zone.isBlank() ? ZoneId.systemDefault() : ZoneId.of(zone);
    }

    /** @param q the 1-based place of the question to show, where they are shown one by one */
    @GetMapping
    String page(
            @PathVariable String code,
            @CookieValue(name = COOKIE, defaultValue = "") String token,
            @RequestParam(defaultValue = "0") int q,
            Model model) {
        model.addAttribute("code", code);
        Optional<Script> script = scripts.script(code, token);
        if (script.isEmpty()) {
            return welcome(code, "", model);
        }
        if (!script.get().open()) {
            handedIn(code, script.get(), model);
            return "sitting/handed-in";
        }
        answering(code, script.get(), q, model);
        return "sitting/answering";
    }

    private String welcome(String code, String fault, Model model) {
        ScriptService.Invitation invitation = scripts.invitation(code);
        model.addAttribute("code", code);
        model.addAttribute("invitation", invitation);
        model.addAttribute("fault", fault);
        model.addAttribute(
                "opens",
                invitation
                        .rules()
                        .opens()
                        .map(time -> RulesWords.time(time, zone))
                        .orElse(""));
        model.addAttribute(
                "closes",
                invitation
                        .rules()
                        .closes()
                        .map(time -> RulesWords.time(time, zone))
                        .orElse(""));
        return "sitting/welcome";
    }

    private void answering(String code, Script script, int wanted, Model model) {
        List<AnswerCard> all = cards(code, script);
        int last = all.size() - 1;
        boolean single = script.rules().oneByOne();
        int least = script.rules().back() ? 0 : Math.min(script.furthest(), last);
        int at = single ? Math.max(least, Math.min(last, wanted == 0 ? script.furthest() : wanted - 1)) : 0;
        model.addAttribute("title", script.quiz().title());
        model.addAttribute("candidate", script.candidate());
        List<AnswerCard> cards = single ? List.of(all.get(at)) : all;
        model.addAttribute("cards", cards);
        model.addAttribute("groups", AnswerCard.groups(cards));
        // Beside a passage there is need of room.
        model.addAttribute(
                "wide", cards.stream().anyMatch(card -> !card.passage().isEmpty()));
        model.addAttribute("answered", all.stream().filter(AnswerCard::answered).count());
        model.addAttribute("all", all);
        model.addAttribute("single", single);
        model.addAttribute("at", at);
        model.addAttribute("last", at == last);
        model.addAttribute("back", script.rules().back());
        model.addAttribute(
                "millisecondsLeft",
                script.deadline()
                        .map(time -> Math.max(
                                0, Duration.between(clock.instant(), time).toMillis()))
                        .orElse(-1L));
    }

    private static List<AnswerCard> cards(String code, Script script) {
        List<AnswerCard> cards =
                AnswerCard.of(script.quiz(), script.responses(), script.flags(), "/s/" + code + "/figure/");
        List<AnswerCard> shown = new ArrayList<>();
        for (int i = 0; i < cards.size(); i++) {
            Question question = script.quiz().questions().get(i);
            AnswerCard card = cards.get(i);
            shown.add(
                    question instanceof ChoiceQuestion choice && isShuffled(choice, script)
                            ? card.withChoices(Shuffling.options(choice, script.seed()))
                            : card);
        }
        return shown;
    }

    private static boolean isShuffled(ChoiceQuestion choice, Script script) {
        return script.rules().shuffleOptions()
                || choice.particulars().settings().order() == OptionOrder.SHUFFLED;
    }

    private static void handedIn(String code, Script script, Model model) {
        List<MarkedCard> cards = MarkedCard.of(
                script.quiz(),
                script.responses(),
                script.marks(),
                script.rules().marking(),
                "/s/" + code + "/figure/");
        model.addAttribute("title", script.quiz().title());
        model.addAttribute("candidate", script.candidate());
        model.addAttribute("state", script.state().name());
        model.addAttribute("rules", script.rules());
        model.addAttribute("marksShown", script.marksShown());
        model.addAttribute("answersShown", script.answersShown());
        model.addAttribute("againLeft", script.state() == Script.State.HANDED_IN ? script.againLeft() : 0);
        // What may not be seen yet is not on the page at all.
        model.addAttribute("cards", script.marksShown() || script.answersShown() ? cards : List.of());
        model.addAttribute(
                "total",
                MarkedCard.total(
                        script.quiz(),
                        script.responses(),
                        script.marks(),
                        script.rules().marking()));
        model.addAttribute(
                "waiting",
                cards.stream().filter(card -> card.verdict().equals("waits")).count());
    }

    @PostMapping("/begin")
    String begin(
            @PathVariable String code,
            @RequestParam String candidate,
            @RequestParam(defaultValue = "") String word,
            HttpServletResponse response,
            Model model) {
        ScriptService.Begun begun = scripts.begin(code, candidate, word);
        if (begun.token().isEmpty()) {
            return welcome(code, begun.refused(), model);
        }
        begun.token().ifPresent(token -> remember(code, token, response));
        return "redirect:/s/" + code;
    }

    /** One more try, where the rules allow it. */
    @PostMapping("/again")
    String again(
            @PathVariable String code,
            @CookieValue(name = COOKIE, defaultValue = "") String token,
            HttpServletResponse response) {
        scripts.again(code, token).ifPresent(next -> remember(code, next, response));
        return "redirect:/s/" + code;
    }

    private static void remember(String code, String token, HttpServletResponse response) {
        ResponseCookie cookie = ResponseCookie.from(COOKIE, token)
                .path("/s/" + code)
                .httpOnly(true)
                .sameSite("Lax")
                .maxAge(KEPT)
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }

    /** Keeps what the page holds now, and says so. */
    @PostMapping("/answers")
    String save(
            @PathVariable String code,
            @CookieValue(name = COOKIE, defaultValue = "") String token,
            @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        model.addAttribute("saved", keep(code, token, fields, 0));
        return "sitting/saved :: saved";
    }

    /** Keeps what the page holds and shows another question, 1-based. */
    @PostMapping("/go")
    String go(
            @PathVariable String code,
            @CookieValue(name = COOKIE, defaultValue = "") String token,
            @RequestParam int to,
            @RequestParam MultiValueMap<String, String> fields) {
        keep(code, token, fields, Math.max(0, to - 1));
        return "redirect:/s/" + code + "?q=" + to;
    }

    /** Shows what is unanswered before anything is handed in. */
    @PostMapping("/check")
    String check(
            @PathVariable String code,
            @CookieValue(name = COOKIE, defaultValue = "") String token,
            @RequestParam MultiValueMap<String, String> fields) {
        keep(code, token, fields, 0);
        return "redirect:/s/" + code + "/check";
    }

    @GetMapping("/check")
    String check(@PathVariable String code, @CookieValue(name = COOKIE, defaultValue = "") String token, Model model) {
        Optional<Script> script = scripts.script(code, token).filter(Script::open);
        if (script.isEmpty()) {
            return "redirect:/s/" + code;
        }
        model.addAttribute("code", code);
        answering(code, script.get(), 0, model);
        List<AnswerCard> all = cards(code, script.get());
        model.addAttribute("unanswered", open(all, card -> !card.answered()));
        model.addAttribute("flagged", open(all, AnswerCard::flagged));
        model.addAttribute(
                "lacking",
                open(all, card -> card.required() && !card.answered()).stream()
                        .map(Open::number)
                        .toList());
        return "sitting/check";
    }

    /** A question to go back to, with its 1-based place. */
    record Open(int place, String id, String number) {}

    private static List<Open> open(List<AnswerCard> all, Predicate<AnswerCard> wanted) {
        return IntStream.range(0, all.size())
                .filter(i -> wanted.test(all.get(i)))
                .mapToObj(i -> new Open(i + 1, all.get(i).id(), all.get(i).number()))
                .toList();
    }

    private boolean keep(String code, String token, MultiValueMap<String, String> fields, int furthest) {
        Set<String> asked = Set.copyOf(fields.getOrDefault(ASKED, List.of()));
        ScriptService.Page page = new ScriptService.Page(quiz -> Responses.parse(fields, quiz), asked, flagged(fields));
        return scripts.save(code, token, page, furthest);
    }

    private static Set<String> flagged(MultiValueMap<String, String> fields) {
        return fields.keySet().stream()
                .filter(name -> name.startsWith(FLAG))
                .map(name -> name.substring(FLAG.length()))
                .collect(Collectors.toSet());
    }

    @PostMapping("/hand-in")
    String handIn(@PathVariable String code, @CookieValue(name = COOKIE, defaultValue = "") String token) {
        scripts.handIn(code, token);
        return "redirect:/s/" + code;
    }

    @GetMapping("/figure/{figure}")
    ResponseEntity<byte[]> figure(
            @PathVariable String code,
            @PathVariable String figure,
            @CookieValue(name = COOKIE, defaultValue = "") String token) {
        return Pictures.response(scripts.script(code, token)
                .filter(script -> shows(script, figure))
                .flatMap(script -> leaves.figure(script.leaf(), figure)));
    }

    /** Only pictures of the edition: a document may hold others that were set aside. */
    private static boolean shows(Script script, String figure) {
        return AnswerCard.of(script.quiz(), Responses.NONE, "figure/").stream()
                .anyMatch(card -> (card.stem()
                                + card.passage()
                                + card.body()
                                + card.parts()
                                + String.join(
                                        "",
                                        card.choices().stream()
                                                .map(AnswerCard.Choice::html)
                                                .toList()))
                        .contains("\"figure/" + figure + "\""));
    }
}
