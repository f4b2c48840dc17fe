package org.tidyleaf.web.review;

import java.io.IOException;
import java.math.BigDecimal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.tidyleaf.tidying.Decision;

/** What concerns all questions at once: points, keys, words, repairs of snags and the history. */
@Controller
@RequestMapping("/leaf/{id}")
class WholeTestController {
    private final ReviewService reviews;
    private final WholeTestService whole;

    WholeTestController(ReviewService reviews, WholeTestService whole) {
        this.reviews = reviews;
        this.whole = whole;
    }

    @PostMapping("/points")
    String allPoints(@ModelAttribute("at") At at, @RequestParam BigDecimal points, Model model) {
        return reviews.decide(at, new Decision.SetAllPoints(points.abs())).in(model);
    }

    @PostMapping("/keys")
    String keys(@ModelAttribute("at") At at, @RequestParam String line, Model model) {
        return reviews.keys(at, line).in(model);
    }

    @PostMapping("/spread")
    String spread(
            @ModelAttribute("at") At at,
            @RequestParam BigDecimal total,
            @RequestParam(defaultValue = "1") BigDecimal step,
            Model model) {
        return whole.spread(at, total.abs(), step).in(model);
    }

    @PostMapping("/key-file")
    String keyFile(@ModelAttribute("at") At at, @RequestParam MultipartFile file, Model model) throws IOException {
        String name = file.getOriginalFilename() == null ? "key" : file.getOriginalFilename();
        return whole.keyFile(at, name, file.getBytes()).in(model);
    }

    /** Shows every hit before anything is changed. */
    @GetMapping("/find")
    String find(
            @ModelAttribute("at") At at,
            @RequestParam(defaultValue = "") String wanted,
            @RequestParam(defaultValue = "") String with,
            @RequestParam(defaultValue = "false") boolean words,
            Model model) {
        model.addAttribute("wanted", wanted);
        model.addAttribute("hits", whole.hits(at, wanted, with, words));
        return "review/found :: found";
    }

    @PostMapping("/replace")
    String replace(
            @ModelAttribute("at") At at,
            @RequestParam String wanted,
            @RequestParam(defaultValue = "") String with,
            @RequestParam(defaultValue = "false") boolean words,
            Model model) {
        return whole.replace(at, wanted, with, words).in(model);
    }

    /** @param place which of the snag's repairs, counted from 0 */
    @PostMapping("/repair")
    String repair(
            @ModelAttribute("at") At at,
            @RequestParam String kind,
            @RequestParam int line,
            @RequestParam int place,
            Model model) {
        return whole.repair(at, kind, line, place).in(model);
    }

    @GetMapping("/history")
    String history(@ModelAttribute("at") At at, Model model) {
        model.addAttribute("leaf", at.leaf());
        model.addAttribute("history", whole.history(at));
        return "review/history :: history";
    }

    @PostMapping("/back")
    String back(@ModelAttribute("at") At at, @RequestParam int kept, Model model) {
        return reviews.decide(at, new Decision.BackTo(kept)).in(model);
    }
}
