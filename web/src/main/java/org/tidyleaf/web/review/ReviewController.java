package org.tidyleaf.web.review;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.tidyleaf.question.Prose;
import org.tidyleaf.reading.Role;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.page.Pictures;
import org.tidyleaf.web.page.ProseHtml;

/**
 * The review. The page comes with its first lines and cards, the others follow in blocks; a decision answers with the parts
 * that changed.
 */
@Controller
@RequestMapping("/leaf/{id}")
class ReviewController {
    private static final String FORM = "review/card-form :: cardForm";
    private static final String OUTDATED = "review/card-form :: outdated";

    private final ReviewService reviews;
    private final LeafService leaves;

    ReviewController(ReviewService reviews, LeafService leaves) {
        this.reviews = reviews;
        this.leaves = leaves;
    }

    @GetMapping
    String review(@ModelAttribute("at") At at, Model model) {
        model.addAttribute("page", reviews.page(at));
        return "review/review";
    }

    @GetMapping("/lines/{block}")
    String lines(@ModelAttribute("at") At at, @PathVariable int block, Model model) {
        model.addAttribute("rows", SheetRow.of(reviews.state(at).lines(block)));
        return "review/sheet :: lines";
    }

    @GetMapping("/boxes/{page}")
    String boxes(@ModelAttribute("at") At at, @PathVariable int page, Model model) {
        List<SheetPage> pages = reviews.state(at).pages();
        model.addAttribute("sheet", pages.get(Math.min(page, pages.size() - 1)));
        return "review/sheet :: boxes";
    }

    @GetMapping("/cards/{block}")
    String cards(@ModelAttribute("at") At at, @PathVariable int block, Model model) {
        model.addAttribute("page", reviews.page(at));
        model.addAttribute("cards", reviews.state(at).cards(block));
        return "review/question-card :: cards";
    }

    /** Asked every few seconds: what others did meanwhile, or nothing. */
    @GetMapping("/news")
    String news(@ModelAttribute("at") At at, Model model) {
        return reviews.news(at).map(news -> news.in(model)).orElse("review/changes :: none");
    }

    /** A typed text as it will look, its formulas set. */
    @GetMapping(value = "/preview", produces = "text/html")
    @ResponseBody
    String preview(@ModelAttribute("at") At at, @RequestParam String text) {
        return new ProseHtml("/leaf/" + at.leaf() + "/figure/").html(Prose.written(text));
    }

    @GetMapping("/figure/{figure}")
    ResponseEntity<byte[]> figure(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @PathVariable String figure) {
        return Pictures.response(leaves.figure(teacher.id(), id, figure));
    }

    /** A page never changes, so a browser need not ask for it twice. */
    @GetMapping(value = "/page/{page}", produces = "image/png")
    ResponseEntity<byte[]> page(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @PathVariable int page) {
        return leaves.page(teacher.id(), id, page)
                .map(png -> ResponseEntity.ok()
                        .cacheControl(CacheControl.maxAge(Duration.ofDays(1))
                                .cachePrivate()
                                .immutable())
                        .body(png))
                .orElseGet(() -> ResponseEntity.notFound().build());
    }

    @PostMapping("/pin")
    String pin(
            @ModelAttribute("at") At at,
            @RequestParam List<Integer> lines,
            @RequestParam Role role,
            @RequestParam(defaultValue = "false") boolean more,
            Model model) {
        return reviews.pin(at, lines, role, more).in(model);
    }

    /** The words of a line, to choose some of. */
    @GetMapping("/words/{line}")
    String words(@ModelAttribute("at") At at, @PathVariable int line, Model model) {
        model.addAttribute("line", line);
        model.addAttribute("words", reviews.words(at, line));
        return "review/words :: words";
    }

    @PostMapping("/pin-words")
    String pinWords(
            @ModelAttribute("at") At at,
            @RequestParam int line,
            @RequestParam int from,
            @RequestParam int to,
            @RequestParam Role role,
            Model model) {
        return reviews.pinWords(at, line, from, to, role).in(model);
    }

    @PostMapping("/undo")
    String undo(@ModelAttribute("at") At at, Model model) {
        return reviews.decide(at, new Decision.Undo()).in(model);
    }

    @PostMapping("/redo")
    String redo(@ModelAttribute("at") At at, Model model) {
        return reviews.decide(at, new Decision.Redo()).in(model);
    }

    @PostMapping("/title")
    String rename(@ModelAttribute("at") At at, @RequestParam String title, Model model) {
        return reviews.rename(at, title.strip())
                .map(reviewed -> reviewed.in(model))
                .orElse("review/changes :: none");
    }

    /** @param reason why it is none, in the teacher's words, or empty */
    @PostMapping("/dismiss")
    String dismiss(
            @ModelAttribute("at") At at,
            @RequestParam String kind,
            @RequestParam int line,
            @RequestParam(defaultValue = "") String reason,
            Model model) {
        return reviews.decide(at, new Decision.Dismiss(kind, line, reason.strip()))
                .in(model);
    }

    @PostMapping("/question/{question}/delete")
    String delete(@ModelAttribute("at") At at, @PathVariable String question, Model model) {
        return reviews.decide(at, new Decision.Delete(question)).in(model);
    }

    /** The card in place of its form. */
    @GetMapping("/question/{question}")
    String card(@ModelAttribute("at") At at, @PathVariable String question, Model model) {
        show(at, question, model);
        return "review/question-card :: card";
    }

    @GetMapping("/question/{question}/form")
    String form(@ModelAttribute("at") At at, @PathVariable String question, Model model) {
        show(at, question, model);
        return FORM;
    }

    /** The lines of a question, at one of which a second one may begin. */
    @GetMapping("/question/{question}/split")
    String split(@ModelAttribute("at") At at, @PathVariable String question, Model model) {
        model.addAttribute("leaf", at.leaf());
        model.addAttribute(
                "number", reviews.card(at, question).map(QuestionCard::number).orElse(""));
        model.addAttribute(
                "lines",
                reviews.state(at).lines().stream()
                        .filter(line -> line.question().equals(question))
                        .toList());
        return "review/split :: split";
    }

    private void show(At at, String question, Model model) {
        model.addAttribute("page", reviews.page(at));
        model.addAttribute("sides", reviews.sides(at, question));
        reviews.card(at, question).ifPresent(card -> model.addAttribute("card", card));
    }

    /** @param opened how many decisions there were when the form was opened */
    @PostMapping("/question/{question}")
    String edit(
            @ModelAttribute("at") At at,
            @PathVariable String question,
            @ModelAttribute CardForm form,
            @RequestParam(defaultValue = "-1") int opened,
            Model model) {
        if (reviews.isOutdated(at, question, opened)) {
            show(at, question, model);
            model.addAttribute("typed", form);
            return OUTDATED;
        }
        return reviews.edit(at, question, form).in(model);
    }

    @PostMapping("/question/{question}/key")
    String key(@ModelAttribute("at") At at, @PathVariable String question, @RequestParam int option, Model model) {
        return reviews.toggleKey(at, question, option).in(model);
    }

    @PostMapping("/question/{question}/points")
    String points(
            @ModelAttribute("at") At at, @PathVariable String question, @RequestParam BigDecimal points, Model model) {
        return reviews.points(at, question, points.abs()).in(model);
    }
}
