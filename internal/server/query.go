package server

import (
	"context"
	"fmt"
	"math/big"
	"net/url"
	"regexp"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"
)

// rawQuery is the input of a calculator: its query, read by the calculator
// itself so that unknown, repeated and empty parameters are all told at once.
type rawQuery struct {
	raw string
}

// Resolve keeps the query as it was sent.
func (q *rawQuery) Resolve(ctx huma.Context) []error {
	u := ctx.URL()
	q.raw = u.RawQuery
	return nil
}

// params reads a query and gathers what is wrong with it.
type params struct {
	values   url.Values
	problems []error
	bad      map[string]bool
}

// readParams takes the names that are known; anything else is a problem.
func readParams(raw string, names ...string) *params {
	p := &params{values: url.Values{}, bad: map[string]bool{}}
	values, err := url.ParseQuery(raw)
	if err != nil {
		p.problems = append(p.problems, field("query", "The query is not well formed. Accepted: name=value joined by &.", raw))
	}
	var unknown []string
	for name := range values {
		if !slices.Contains(names, name) {
			unknown = append(unknown, name)
		}
	}
	slices.Sort(unknown)
	for _, name := range unknown {
		p.fail(name, "is not a parameter; accepted: "+strings.Join(names, ", "))
	}
	for _, name := range names {
		switch vs := values[name]; {
		case len(vs) > 1:
			p.fail(name, "is given more than once; accepted: once")
		case len(vs) == 1 && vs[0] == "":
			p.values.Set(name, "")
			p.fail(name, "is empty; accepted: a value, or leave it out")
		case len(vs) == 1:
			p.values.Set(name, vs[0])
		}
	}
	return p
}

// fail notes one problem for a parameter; further ones for it are not told.
func (p *params) fail(name, problem string) {
	if p.bad[name] {
		return
	}
	p.bad[name] = true
	var given any
	if p.values.Has(name) {
		given = p.values.Get(name)
	}
	p.problems = append(p.problems, field("query."+name, name+" "+problem, given))
}

func (p *params) has(name string) bool { return p.values.Has(name) || p.bad[name] }

func (p *params) text(name string) string { return p.values.Get(name) }

// plainDecimal is the only spelling of a number: no exponent, hex, comma or sign but minus.
var plainDecimal = regexp.MustCompile(`^-?[0-9]{1,18}(\.[0-9]{1,18})?$`)

// number reads a plain decimal; ok is false where it is missing or a problem.
func (p *params) number(name, accepts string) (*big.Rat, bool) {
	if !p.values.Has(name) || p.bad[name] {
		return nil, false
	}
	s := p.values.Get(name)
	if !plainDecimal.MatchString(s) {
		p.fail(name, "is not a plain decimal number; accepted: "+accepts)
		return nil, false
	}
	return new(big.Rat).SetString(s)
}

// between reads a plain decimal from lo to hi, inclusive; over is true where lo
// itself is not accepted.
func (p *params) between(name string, lo, hi float64, over bool, unit string) (float64, bool) {
	from := fmt.Sprintf("from %v", lo)
	if over {
		from = fmt.Sprintf("over %v", lo)
	}
	accepts := fmt.Sprintf("a number %s to %v%s", from, hi, unit)
	r, ok := p.number(name, accepts)
	if !ok {
		return 0, false
	}
	v, _ := r.Float64()
	if v < lo || v > hi || over && r.Cmp(new(big.Rat).SetFloat64(lo)) <= 0 {
		p.fail(name, "is out of range; accepted: "+accepts)
		return 0, false
	}
	return v, true
}

// calculator registers a GET without stored data that reads its own query.
func calculator[O any](api huma.API, op huma.Operation, run func(raw string) (*O, error)) {
	op.Method = "GET"
	op.Errors = []int{422}
	huma.Register(api, op, func(_ context.Context, in *rawQuery) (*O, error) { return run(in.raw) })
}

// param describes a parameter of a calculator.
func param[T ~string](name, description string, required bool, enum ...T) *huma.Param {
	s := &huma.Schema{Type: "string"}
	for _, e := range enum {
		s.Enum = append(s.Enum, string(e))
	}
	return &huma.Param{Name: name, In: "query", Description: description, Required: required, Schema: s}
}

// numberParam describes a numeric parameter of a calculator.
func numberParam(name, description string, required bool, lo, hi float64) *huma.Param {
	return &huma.Param{Name: name, In: "query", Description: description, Required: required,
		Schema: &huma.Schema{Type: "number", Minimum: &lo, Maximum: &hi}}
}
