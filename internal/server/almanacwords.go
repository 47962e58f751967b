package server

import (
	"fmt"
	"math"

	"mellisca/core/almanac"
	"mellisca/core/measure"
)

// rowAnswer puts a row of the Almanac in words.
func rowAnswer(r almanac.Row, by almanac.By, most int, names map[string]string, units measure.System) almanacRow {
	b := almanacRow{Key: r.Key, Name: names[r.Key], Jars: r.Jars, Losses: []lossBody{}, Text: batchesText(r.Batches) + ", " + countText(r.Jars, "jar")}
	switch {
	case by == almanac.ByProduct:
		b.Name, b.Product = productName(r.Key), r.Key
	case by == almanac.ByYear:
		b.Key = fmt.Sprint(r.Year)
		b.Name = b.Key
	case b.Name == "":
		b.Name = "a canner that is gone"
	}
	if most > 0 {
		b.Part = rounded(float64(r.Jars)/float64(most), 3)
	}
	if y, ok := r.LitresPerKg(); ok {
		b.Yield = yieldText(y, units)
		if worst, best := r.Yields(); best > worst*1.02 {
			b.Range = yieldText(worst, units) + " at the worst, " + yieldText(best, units) + " at the best"
		}
	}
	if c, ok := r.CentsPerLitre(); ok {
		b.Cost = costText(c, units)
	}
	if r.Looked == 0 {
		b.Looked = "no jars looked at yet"
		return b
	}
	b.Looked = countText(r.Looked, "jar") + " looked at"
	if r.Lost().Few {
		b.Looked += ": too few to tell much"
	}
	for _, l := range []struct {
		name string
		n    int
	}{{"did not seal", r.Unsealed}, {"broken", r.Broken}, {"lost liquid", r.Liquid}, {"float", r.Float}} {
		s := r.Share(l.n)
		b.Losses = append(b.Losses, lossBody{l.name, l.n, rounded(float64(l.n)/float64(s.Of), 3), rounded(s.Low, 3), rounded(s.High, 3)})
	}
	return b
}

const quartLitres = 0.946352946

// yieldText is how much fruit a quart or litre of jars took.
func yieldText(litresPerKg float64, units measure.System) string {
	if units == measure.Metric {
		return fmt.Sprintf("%.2f kg a litre", 1/litresPerKg)
	}
	return fmt.Sprintf("%.1f lb a quart", quartLitres/litresPerKg/0.45359237)
}

func costText(centsPerLitre float64, units measure.System) string {
	if units == measure.Metric {
		return measure.Money(math.Round(centsPerLitre)) + " a litre"
	}
	return measure.Money(math.Round(centsPerLitre*quartLitres)) + " a quart"
}

// beside puts the last years side by side.
func (s *server) beside(b *almanacBody, puts []almanac.Put, looks []almanac.Look, units measure.System) {
	for _, r := range almanac.Table(puts, looks, almanac.ByYear) {
		b.Years = append(b.Years, r.Year)
	}
	b.Years = b.Years[max(0, len(b.Years)-yearsBeside):]
	most := 1
	all := almanac.YearByYear(puts, looks, b.Years)
	for _, c := range all {
		for _, y := range c.Years {
			most = max(most, y.Jars)
		}
	}
	for _, c := range all {
		row := yearsRow{Product: c.Product, Name: productName(c.Product), Years: []yearCell{}}
		for _, y := range c.Years {
			cell := yearCell{Year: y.Year, Jars: y.Jars, Part: rounded(float64(y.Jars)/float64(most), 3)}
			if y, ok := y.LitresPerKg(); ok {
				cell.Text = yieldText(y, units)
			}
			if c, ok := y.CentsPerLitre(); ok {
				cell.Text = joined(cell.Text, costText(c, units))
			}
			if y.Looked > 0 {
				cell.Text = joined(cell.Text, fmt.Sprintf("%d of %d lost", y.Unsealed+y.Broken, y.Looked))
			}
			row.Years = append(row.Years, cell)
		}
		row.Change = changeText(c.Years)
		b.Beside = append(b.Beside, row)
	}
}

func joined(a, b string) string {
	if a == "" {
		return b
	}
	return a + "; " + b
}

// changeText says how the last year differs from the one before.
func changeText(years []almanac.Row) string {
	if len(years) < 2 {
		return ""
	}
	last, before := years[len(years)-1], years[len(years)-2]
	var text string
	switch d := last.Jars - before.Jars; {
	case before.Jars == 0 && last.Jars == 0:
		return "none in either"
	case before.Jars == 0:
		text = "none the year before"
	case d == 0:
		text = "as many jars"
	case d > 0:
		text = countText(d, "jar") + " more"
	default:
		text = countText(-d, "jar") + " fewer"
	}
	a, ok1 := last.LitresPerKg()
	b, ok2 := before.LitresPerKg()
	if ok1 && ok2 {
		if percent := 100 * (b/a - 1); math.Abs(percent) >= 3 {
			text += fmt.Sprintf(", %.0f %% %s fruit for each", math.Abs(percent), map[bool]string{true: "more", false: "less"}[percent > 0])
		}
	}
	return text
}

func batchesText(n int) string {
	if n == 1 {
		return "1 batch"
	}
	return fmt.Sprintf("%d batches", n)
}
