package measure

import (
	"fmt"
	"strconv"
)

// ParseError says what could not be read as a quantity.
type ParseError struct {
	Input   string // as it was typed
	What    string // "a weight", "a volume", …
	Problem string // what is wrong with it, in words
	Accepts string // examples of what is accepted
}

// Error gives the input, the problem and what is accepted in one sentence.
func (e *ParseError) Error() string {
	in := e.Input
	if len(in) > 60 {
		in = in[:60] + "…"
	}
	return fmt.Sprintf("%s is not %s: %s; accepted: %s", strconv.Quote(in), e.What, e.Problem, e.Accepts)
}
