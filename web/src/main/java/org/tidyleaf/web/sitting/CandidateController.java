package org.tidyleaf.web.sitting;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
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

    /** A script can be gone on with for as long as any sitting may last. */
    private static final Duration KEPT = Duration.ofDays(30);

    private final SittingService sittings;
    private final LeafService leaves;

    CandidateController(SittingService sittings, LeafService leaves) {
        this.sittings = sittings;
        this.leaves = leaves;
    }

    @GetMapping
    String page(@PathVariable String code, @CookieValue(name = COOKIE, defaultValue = "") String token, Model model) {
        model.addAttribute("code", code);
        Optional<Script> script = sittings.script(code, token);
        if (script.isEmpty()) {
            model.addAttribute("invitation", sittings.invitation(code));
            return "sitting/welcome";
        }
        if (!script.get().open()) {
            handedIn(script.get(), model);
            return "sitting/handed-in";
        }
        answering(code, script.get(), model);
        return "sitting/answering";
    }

    private static void answering(String code, Script script, Model model) {
        model.addAttribute("title", script.quiz().title());
        model.addAttribute("candidate", script.candidate());
        model.addAttribute("cards", cards(code, script));
    }

    private static List<AnswerCard> cards(String code, Script script) {
        return AnswerCard.of(script.quiz(), script.responses(), "/s/" + code + "/figure/");
    }

    private static void handedIn(Script script, Model model) {
        model.addAttribute("title", script.quiz().title());
        model.addAttribute("candidate", script.candidate());
        model.addAttribute("handedIn", script.handedIn());
        model.addAttribute("total", MarkedCard.total(script.quiz(), script.responses(), script.marks()));
        model.addAttribute(
                "waiting",
                MarkedCard.of(script.quiz(), script.responses(), script.marks(), "").stream()
                        .filter(card -> card.verdict().equals("waits"))
                        .count());
    }

    @PostMapping("/begin")
    String begin(@PathVariable String code, @RequestParam String candidate, HttpServletResponse response, Model model) {
        if (candidate.isBlank()) {
            model.addAttribute("code", code);
            model.addAttribute("invitation", sittings.invitation(code));
            model.addAttribute("fault", "Write your name, so that your answers can be told from others'.");
            return "sitting/welcome";
        }
        sittings.begin(code, candidate).ifPresent(token -> {
            ResponseCookie cookie = ResponseCookie.from(COOKIE, token)
                    .path("/s/" + code)
                    .httpOnly(true)
                    .sameSite("Lax")
                    .maxAge(KEPT)
                    .build();
            response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
        });
        return "redirect:/s/" + code;
    }

    /** Keeps what the page holds now, and says so. */
    @PostMapping("/answers")
    String save(
            @PathVariable String code,
            @CookieValue(name = COOKIE, defaultValue = "") String token,
            @RequestParam MultiValueMap<String, String> fields,
            Model model) {
        model.addAttribute("saved", keep(code, token, fields));
        return "sitting/saved :: saved";
    }

    /** Shows what is unanswered before anything is handed in. */
    @PostMapping("/check")
    String check(
            @PathVariable String code,
            @CookieValue(name = COOKIE, defaultValue = "") String token,
            @RequestParam MultiValueMap<String, String> fields) {
        keep(code, token, fields);
        return "redirect:/s/" + code + "/check";
    }

    @GetMapping("/check")
    String check(@PathVariable String code, @CookieValue(name = COOKIE, defaultValue = "") String token, Model model) {
        Optional<Script> script = sittings.script(code, token).filter(Script::open);
        if (script.isEmpty()) {
            return "redirect:/s/" + code;
        }
        model.addAttribute("code", code);
        answering(code, script.get(), model);
        model.addAttribute(
                "unanswered",
                cards(code, script.get()).stream()
                        .filter(card -> !card.answered())
                        .toList());
        return "sitting/check";
    }

    private boolean keep(String code, String token, MultiValueMap<String, String> fields) {
        return sittings.script(code, token)
                .map(script -> sittings.save(code, token, Responses.parse(fields, script.quiz())))
                .orElse(false);
    }

    @PostMapping("/hand-in")
    String handIn(@PathVariable String code, @CookieValue(name = COOKIE, defaultValue = "") String token) {
        sittings.handIn(code, token);
        return "redirect:/s/" + code;
    }

    @GetMapping("/figure/{figure}")
    ResponseEntity<byte[]> figure(
            @PathVariable String code,
            @PathVariable String figure,
            @CookieValue(name = COOKIE, defaultValue = "") String token) {
        return Pictures.response(sittings.script(code, token)
                .filter(script -> shows(script, figure))
                .flatMap(script -> leaves.figure(script.leaf(), figure)));
    }

    /** Only pictures of the edition: a document may hold others that were set aside. */
    private static boolean shows(Script script, String figure) {
        return AnswerCard.of(script.quiz(), Responses.NONE, "figure/").stream()
                .anyMatch(card -> (card.stem()
                                + card.passage()
                                + String.join(
                                        "",
                                        card.choices().stream()
                                                .map(AnswerCard.Choice::html)
                                                .toList()))
                        .contains("\"figure/" + figure + "\""));
    }
}
