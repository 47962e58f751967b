package exchange

import (
	"fmt"
	"math/big"
	"strconv"
	"strings"
	"time"

	"mellisca/core/batch"
	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
	"mellisca/core/shelf"
	"mellisca/core/syrup"
	"mellisca/internal/store"
)

// JarRecord is a jar as a row of a CSV: with its place by name.
type JarRecord struct {
	store.Jar
	PlaceName string
}

var jarColumns = []column[JarRecord]{
	idColumn(func(r *JarRecord) *string { return &r.ID }),
	textColumn("what", 120, func(r *JarRecord) *string { return &r.What }),
	textColumn("strength", 200, func(r *JarRecord) *string { return &r.Strength }),
	textColumn("product", 60, func(r *JarRecord) *string { return &r.Product }),
	textColumn("kind", 60, func(r *JarRecord) *string { return &r.Kind }),
	textColumn("form", 60, func(r *JarRecord) *string { return &r.Form }),
	jarColumn(func(r *JarRecord) *jar.ID { return &r.Jar.Jar }),
	dayColumn("canned", func(r *JarRecord) *fruit.Day { return &r.Canned }),
	boolColumn("year_only", func(r *JarRecord) *bool { return &r.YearOnly }),
	textColumn("made_by", 80, func(r *JarRecord) *string { return &r.MadeBy }),
	oneOfColumn("origin", func(r *JarRecord) *string { return &r.Origin }, "load", "batch", "before", "present"),
	oneOfColumn("process", func(r *JarRecord) *shelf.Process { return &r.Process }, shelf.Processes()...),
	textColumn("source", 300, func(r *JarRecord) *string { return &r.Source }),
	textColumn("place", 60, func(r *JarRecord) *string { return &r.PlaceName }),
	oneOfColumn("state", func(r *JarRecord) *shelf.State { return &r.State }, shelf.States()...),
	dayColumn("since", func(r *JarRecord) *fruit.Day { return &r.Since }),
	dayColumn("until", func(r *JarRecord) *fruit.Day { return &r.Until }),
	textColumn("given_to", 80, func(r *JarRecord) *string { return &r.Who }),
	dayColumn("looked_over", func(r *JarRecord) *fruit.Day { return &r.Looked }),
	boolColumn("use_first", func(r *JarRecord) *bool { return &r.UseFirst }),
	textColumn("allergens", 200, func(r *JarRecord) *string { return &r.Allergens }),
	textColumn("note", 500, func(r *JarRecord) *string { return &r.Note }),
	textColumn("load", 40, func(r *JarRecord) *string { return &r.Load }),
	numberColumn("number", 0, 1000, func(r *JarRecord) *int { return &r.Number }),
	textColumn("batch", 40, func(r *JarRecord) *string { return &r.Batch }),
}

// WriteJars writes jars as a CSV; ReadJars reads it.
func WriteJars(all []JarRecord) ([]byte, error) { return writeTidy(jarColumns, all) }

// ReadJars reads jars; what is wrong is said with its line and column.
func ReadJars(raw []byte) ([]JarRecord, []int, error) {
	all, lines, err := readTidy(raw, jarColumns, "id", "what", "jar", "canned", "origin", "process", "state", "since")
	if err != nil {
		return nil, nil, err
	}
	for i, r := range all {
		switch {
		case strings.TrimSpace(r.What) == "":
			return nil, nil, fmt.Errorf("line %d, what: it is empty; accepted: what is in the jar", lines[i])
		case r.Canned == 0:
			return nil, nil, fmt.Errorf("line %d, canned: it is empty; accepted: a day as 2026-08-14", lines[i])
		case r.Since == 0:
			return nil, nil, fmt.Errorf("line %d, since: it is empty; accepted: the day since which it stands so", lines[i])
		case r.State == shelf.Given && r.Who == "":
			return nil, nil, fmt.Errorf("line %d, given_to: it is empty; accepted: who has the jar", lines[i])
		case r.Process == shelf.Tested && r.Load == "":
			return nil, nil, fmt.Errorf("line %d, process: tested is what was run on a stove, and no load is named; accepted: told, own or unknown", lines[i])
		}
	}
	return all, lines, nil
}

var lotColumns = []column[store.Lot]{
	idColumn(func(l *store.Lot) *string { return &l.ID }),
	textColumn("name", 80, func(l *store.Lot) *string { return &l.Name }),
	{"kind", func(l store.Lot) string { return l.Kind }, func(l *store.Lot, cell string) error {
		if _, ok := fruit.FindKind(cell); !ok {
			return notAccepted(cell, "a fruit by its id, as peach or apple")
		}
		l.Kind = cell
		return nil
	}},
	textColumn("variety", 80, func(l *store.Lot) *string { return &l.Variety }),
	textColumn("bought", 80, func(l *store.Lot) *string { return &l.Typed }),
	{"weight_g", func(l store.Lot) string { return thousandths(int64(l.Bought.Mass)) }, func(l *store.Lot, cell string) error {
		n, ok := parseThousandths(cell)
		if !ok || n <= 0 || n > 1e12 {
			return notAccepted(cell, "its weight in grams, as 9071.847")
		}
		l.Bought.Mass = measure.Mass(n)
		return nil
	}},
	boolColumn("weight_is_a_guess", func(l *store.Lot) *bool { return &l.Bought.Guess }),
	{"price", func(l store.Lot) string {
		if l.PriceCents < 0 {
			return ""
		}
		return fmt.Sprintf("%d.%02d", l.PriceCents/100, l.PriceCents%100)
	}, func(l *store.Lot, cell string) error {
		if l.PriceCents = -1; strings.TrimSpace(cell) == "" {
			return nil
		}
		r, ok := decimal(cell)
		if ok {
			r.Mul(r, big.NewRat(100, 1))
		}
		if !ok || !r.IsInt() || r.Sign() < 0 || !r.Num().IsInt64() || r.Num().Int64() > 1e11 {
			return notAccepted(cell, "what all of it cost, as 12.50, or nothing")
		}
		l.PriceCents = r.Num().Int64()
		return nil
	}},
	textColumn("from", 120, func(l *store.Lot) *string { return &l.From }),
	dayColumn("got", func(l *store.Lot) *fruit.Day { return &l.Got }),
	textColumn("note", 500, func(l *store.Lot) *string { return &l.Note }),
	{"ripeness", func(l store.Lot) string {
		var all []string
		for _, t := range l.Taps {
			all = append(all, dayCell(t.Day)+" "+string(t.Ripeness))
		}
		return strings.Join(all, "; ")
	}, func(l *store.Lot, cell string) error {
		for _, one := range strings.Split(cell, ";") {
			if one = strings.TrimSpace(one); one == "" {
				continue
			}
			day, ripeness, _ := strings.Cut(one, " ")
			t, err := time.Parse(time.DateOnly, day)
			tap := fruit.Tap{Day: fruit.Day(t.Unix() / 86_400), Ripeness: fruit.Ripeness(ripeness)}
			if err != nil || !isStage(tap.Ripeness) {
				return notAccepted(one, "how ripe it was and when, as 2026-08-14 ready; 2026-08-16 past")
			}
			l.Taps = append(l.Taps, tap)
		}
		return nil
	}},
}

func isStage(r fruit.Ripeness) bool {
	for _, s := range fruit.Stages() {
		if s == r {
			return true
		}
	}
	return false
}

// WriteLots writes lots as a CSV; ReadLots reads it.
func WriteLots(all []store.Lot) ([]byte, error) { return writeTidy(lotColumns, all) }

// ReadLots reads lots; what is wrong is said with its line and column. A lot that does not
// say its price has -1.
func ReadLots(raw []byte) ([]store.Lot, []int, error) {
	all, lines, err := readTidy(raw, lotColumns, "id", "name", "kind", "weight_g", "price", "got")
	for i, l := range all {
		if strings.TrimSpace(l.Name) == "" || l.Got == 0 {
			return nil, nil, fmt.Errorf("line %d: it has no name, or no day on which it came", lines[i])
		}
		if l.Typed == "" {
			all[i].Typed = thousandths(int64(l.Bought.Mass)) + " g"
		}
	}
	return all, lines, err
}

var batchColumns = []column[store.Batch]{
	idColumn(func(b *store.Batch) *string { return &b.ID }),
	numberColumn("version", 1, 1<<40, func(b *store.Batch) *int { return &b.Version }),
	textColumn("note", 2000, func(b *store.Batch) *string { return &b.Note }),
	textColumn("product", 80, func(b *store.Batch) *string { return &b.Request.Product }),
	textColumn("source", 40, func(b *store.Batch) *string { return &b.Request.Source }),
	wordColumn("kind", func(b *store.Batch) *guide.Kind { return &b.Request.Kind }),
	{"blend", func(b store.Batch) string { return b.Request.Blend.String() }, func(b *store.Batch, cell string) (err error) {
		b.Request.Blend, err = guide.ParseBlend(cell)
		return err
	}},
	wordColumn("form", func(b *store.Batch) *guide.Form { return &b.Request.Form }),
	oneOfColumn("pack", func(b *store.Batch) *guide.Pack { return &b.Request.Pack }, guide.Packs()...),
	jarColumn(func(b *store.Batch) *jar.ID { return &b.Request.Jar }),
	textColumn("sizes", 200, func(b *store.Batch) *string { return &b.Request.Sizes }),
	numberColumn("tiers", 0, 2, func(b *store.Batch) *int { return &b.Request.Tiers }),
	wordColumn("method", func(b *store.Batch) *guide.Method { return &b.Request.Method }),
	wordColumn("thickener", func(b *store.Batch) *guide.Thickener { return &b.Request.Thickener }),
	textColumn("altitude", 200, func(b *store.Batch) *string { return &b.Request.Altitude }),
	textColumn("amount", 200, func(b *store.Batch) *string { return &b.Request.Amount }),
	wordColumn("liquid", func(b *store.Batch) *batch.LiquidKind { return &b.Request.Liquid.Kind }),
	wordColumn("strength", func(b *store.Batch) *syrup.Strength { return &b.Request.Liquid.Strength }),
	realColumn("brix", 65, func(b *store.Batch) *float64 { return &b.Request.Liquid.Brix }),
	realColumn("water_parts", 100, func(b *store.Batch) *float64 { return &b.Request.Liquid.WaterParts }),
	realColumn("sugar_parts", 100, func(b *store.Batch) *float64 { return &b.Request.Liquid.SugarParts }),
	realColumn("cups_a_gallon", 100, func(b *store.Batch) *float64 { return &b.Request.Liquid.GallonCups }),
	textColumn("sugar", 200, func(b *store.Batch) *string { return &b.Request.Liquid.Sugar }),
	textColumn("own_juice", 200, func(b *store.Batch) *string { return &b.Request.Liquid.Have }),
	boolColumn("cores", func(b *store.Batch) *bool { return &b.Request.Liquid.Cores }),
	wordColumn("sweetener", func(b *store.Batch) *syrup.Sweetener { return &b.Request.Liquid.Sweetener }),
	realColumn("dilute", 10, func(b *store.Batch) *float64 { return &b.Request.Dilute }),
	textColumn("lots", 400, func(b *store.Batch) *string { return &b.Request.Lots }),
	textColumn("varieties", 400, func(b *store.Batch) *string { return &b.Request.Varieties }),
	textColumn("canner", 40, func(b *store.Batch) *string { return &b.Request.Canner }),
	wordColumn("acid", func(b *store.Batch) *guide.AcidState { return &b.Request.Acid }),
	wordColumn("fruit", func(b *store.Batch) *guide.FruitState { return &b.Request.Conditions.Fruit }),
	wordColumn("jars", func(b *store.Batch) *guide.JarState { return &b.Request.Jars }),
	{"extras", func(b store.Batch) string { return b.Request.Extras.String() }, func(b *store.Batch, cell string) (err error) {
		b.Request.Extras, err = guide.ParseExtras(cell)
		return err
	}},
	momentColumn("created", func(b *store.Batch) *time.Time { return &b.Created }),
	momentColumn("updated", func(b *store.Batch) *time.Time { return &b.Updated }),
}

// WriteBatches writes batches as a CSV; ReadBatches reads it.
func WriteBatches(all []store.Batch) ([]byte, error) { return writeTidy(batchColumns, all) }

// ReadBatches reads batches; what is wrong is said with its line and column.
func ReadBatches(raw []byte) ([]store.Batch, []int, error) {
	all, lines, err := readTidy(raw, batchColumns, "id", "version", "product", "pack", "jar", "created")
	for i, b := range all {
		if b.Request.Product == "" && b.Request.Source == "" {
			return nil, nil, fmt.Errorf("line %d, product: it is empty, and no own source is named; accepted: a product", lines[i])
		}
		if b.Created.IsZero() {
			return nil, nil, fmt.Errorf("line %d, created: it is empty; accepted: a moment as 2026-08-14T12:00:00Z", lines[i])
		}
		if b.Updated.IsZero() {
			all[i].Updated = b.Created
		}
	}
	return all, lines, err
}

// idColumn is what names a row.
func idColumn[T any](at func(*T) *string) column[T] {
	return column[T]{"id", func(v T) string { return *at(&v) }, func(v *T, cell string) error {
		if len(cell) < 6 || len(cell) > 40 || strings.ContainsFunc(cell, func(r rune) bool {
			return r != '-' && (r < '0' || r > '9') && (r < 'a' || r > 'z')
		}) {
			return notAccepted(cell, "6 to 40 small letters and figures, which name this row alone")
		}
		*at(v) = cell
		return nil
	}}
}

func jarColumn[T any](at func(*T) *jar.ID) column[T] {
	return column[T]{"jar", func(v T) string { return string(*at(&v)) }, func(v *T, cell string) error {
		of, ok := jar.Find(jar.ID(strings.TrimSpace(cell)))
		if !ok {
			if of, ok = jar.FindName(strings.TrimSpace(cell)); !ok {
				return notAccepted(cell, "a size of jar, as quart, pint-wide or half-pint")
			}
		}
		*at(v) = of.ID
		return nil
	}}
}

// wordColumn is a word of the guide's, judged when the batch is.
func wordColumn[T any, S ~string](name string, at func(*T) *S) column[T] {
	return column[T]{name, func(v T) string { return string(*at(&v)) }, func(v *T, cell string) error {
		if len(cell) > 60 {
			return fmt.Errorf("it is too long; accepted: up to 60 letters")
		}
		*at(v) = S(cell)
		return nil
	}}
}

// realColumn is a number from 0 on; empty is 0.
func realColumn[T any](name string, most float64, at func(*T) *float64) column[T] {
	return column[T]{name, func(v T) string { return strconv.FormatFloat(*at(&v), 'f', -1, 64) }, func(v *T, cell string) error {
		if cell == "" {
			return nil
		}
		x, err := strconv.ParseFloat(strings.TrimSpace(cell), 64)
		if err != nil || !(x >= 0 && x <= most) {
			return notAccepted(cell, fmt.Sprintf("a number from 0 to %g", most))
		}
		*at(v) = x
		return nil
	}}
}

// thousandths writes a whole number of thousandths, and parseThousandths reads it.
func thousandths(n int64) string {
	return strings.TrimSuffix(strings.TrimRight(fmt.Sprintf("%d.%03d", n/1000, n%1000), "0"), ".")
}

func parseThousandths(s string) (int64, bool) {
	r, ok := decimal(s)
	if !ok {
		return 0, false
	}
	if r.Mul(r, big.NewRat(1000, 1)); !r.IsInt() || !r.Num().IsInt64() {
		return 0, false
	}
	return r.Num().Int64(), true
}

// decimal reads a plain number with a point or a comma.
func decimal(s string) (*big.Rat, bool) {
	s = strings.ReplaceAll(strings.TrimSpace(s), ",", ".")
	if len(s) > 24 || strings.Trim(s, "0123456789.") != "" {
		return nil, false
	}
	return new(big.Rat).SetString(s)
}
