package org.tidyleaf.web.course;

import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;

/** The simulated course system's own endpoint and page. */
@Controller
@RequestMapping("/simulated-course")
class SimulatedCourseController {

    private static final String BEARER = "Bearer ";

    private final SimulatedCourse course;

    SimulatedCourseController(SimulatedCourse course) {
        this.course = course;
    }

    @PostMapping("/packages")
    ResponseEntity<Object> take(
            @RequestHeader(name = "Authorization", defaultValue = "") String authorization,
            @RequestHeader(name = "X-File-Name", defaultValue = "package.zip") String name,
            @RequestBody byte[] bytes) {
        boolean known = authorization.startsWith(BEARER) && course.knows(authorization.substring(BEARER.length()));
        if (!known) {
            return ResponseEntity.status(HttpStatus.UNAUTHORIZED).body("The token is not known here.");
        }
        try {
            return ResponseEntity.status(HttpStatus.CREATED).body(course.take(name, bytes));
        } catch (IOException refused) {
            return ResponseEntity.badRequest().body(String.valueOf(refused.getMessage()));
        }
    }

    @GetMapping
    String page(Model model) {
        model.addAttribute("packages", course.list());
        return "course/course";
    }
}
