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
import org.tidyleaf.reading.Role;
import org.tidyleaf.tidying.Decision;
import org.tidyleaf.web.account.Teacher;
import org.tidyleaf.web.leaf.LeafService;
import org.tidyleaf.web.leaf.OpenLeaf;
import org.tidyleaf.web.page.Pictures;
import org.tidyleaf.web.page.ProseHtml;

/** The review: a change of one question answers with its card, a change of the reading with the whole workspace. */
@Controller
@RequestMapping("/leaf/{id}")
class ReviewController {
    private static final String WORKSPACE = "review/workspace :: workspace";
    private static final String CARD = "review/card-changed :: cardChanged";
    private static final String FORM = "review/card-form :: cardForm";

    private final ReviewService reviews;
    private final LeafService leaves;

    ReviewController(ReviewService reviews, LeafService leaves) {
        this.reviews = reviews;
        this.leaves = leaves;
    }

    @GetMapping
    String review(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        model.addAttribute("page", reviews.page(teacher.id(), id));
        return "review/review";
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
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam List<Integer> lines,
            @RequestParam Role role,
            @RequestParam(defaultValue = "false") boolean more,
            Model model) {
        model.addAttribute("page", reviews.pin(teacher.id(), id, lines, role, more));
        return WORKSPACE;
    }

    @PostMapping("/undo")
    String undo(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.Undo()));
        return WORKSPACE;
    }

    @PostMapping("/redo")
    String redo(@AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.Redo()));
        return WORKSPACE;
    }

    @PostMapping("/points")
    String allPoints(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam BigDecimal points,
            Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.SetAllPoints(points.abs())));
        return WORKSPACE;
    }

    @PostMapping("/keys")
    String keys(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @RequestParam String line, Model model) {
        model.addAttribute("page", reviews.keys(teacher.id(), id, line));
        return WORKSPACE;
    }

    @PostMapping("/title")
    String rename(
            @AuthenticationPrincipal Teacher teacher, @PathVariable UUID id, @RequestParam String title, Model model) {
        model.addAttribute("page", reviews.rename(teacher.id(), id, title.strip()));
        return WORKSPACE;
    }

    @PostMapping("/dismiss")
    String dismiss(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @RequestParam String kind,
            @RequestParam int line,
            Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.Dismiss(kind, line)));
        return WORKSPACE;
    }

    @PostMapping("/question/{question}/delete")
    String delete(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            Model model) {
        model.addAttribute("page", reviews.decide(teacher.id(), id, new Decision.Delete(question)));
        return WORKSPACE;
    }

    @GetMapping("/question/{question}")
    String card(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            Model model) {
        changed(reviews.open(teacher.id(), id), question, model);
        return CARD;
    }

    @GetMapping("/question/{question}/form")
    String form(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            Model model) {
        changed(reviews.open(teacher.id(), id), question, model);
        return FORM;
    }

    @PostMapping("/question/{question}")
    String edit(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            @ModelAttribute CardForm form,
            Model model) {
        changed(reviews.edit(teacher.id(), id, question, form), question, model);
        return CARD;
    }

    @PostMapping("/question/{question}/key")
    String key(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            @RequestParam int option,
            Model model) {
        changed(reviews.toggleKey(teacher.id(), id, question, option), question, model);
        return CARD;
    }

    @PostMapping("/question/{question}/points")
    String points(
            @AuthenticationPrincipal Teacher teacher,
            @PathVariable UUID id,
            @PathVariable String question,
            @RequestParam BigDecimal points,
            Model model) {
        changed(reviews.points(teacher.id(), id, question, points.abs()), question, model);
        return CARD;
    }

    private static void changed(OpenLeaf leaf, String question, Model model) {
        model.addAttribute("page", ReviewPage.aroundCard(leaf));
        QuestionCard.of(leaf.tidied(), question, new ProseHtml(ReviewPage.figures(leaf.id())))
                .ifPresent(card -> model.addAttribute("card", card));
    }
}
