package exchange

import (
	"errors"
	"fmt"
	"io"
	"slices"
	"strconv"
	"strings"
	"time"

	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/measure"
)

// Past is what a batch of an earlier season gave.
type Past struct {
	Product guide.Product
	Form    guide.Form
	Pack    guide.Pack
	Fruit   measure.Mass
	Filled  []jar.Counted
	Liquid  measure.Volume // that went into jars; 0: not said
	Minutes int            // of getting the fruit ready; 0: not said
	Note    string
	Day     time.Time // midnight UTC; 1 January where the year alone is known
}

// PastTyped is a Past as it was written down, each column of a file or field of a form.
type PastTyped struct {
	Product, Form, Pack, Fruit, Jars, Liquid, Minutes, Note, Day string
}

// PastProblem says which column was not understood.
type PastProblem struct {
	Column  string
	Problem string // with what would be accepted
}

// mostPast bounds a file.
const mostPast = 5000

var pastDays = []string{time.DateOnly, "2006", "2 January 2006", "2 Jan 2006", "January 2, 2006", "Jan 2, 2006", "02.01.2006", "2.1.2006"}

// Read understands what was written down, up to a day; or every column that it does
// not. Nothing is guessed: a product that comes in several forms needs its form, and
// one that was tested raw and hot its pack.
func (t PastTyped) Read(today time.Time) (p Past, problems []PastProblem) {
	fail := func(column, problem string) { problems = append(problems, PastProblem{column, problem}) }
	info, ok := productNamed(t.Product)
	switch {
	case !ok:
		fail("product", not(t.Product, "the product", "no product known here")+"; accepted: one of the list, as peaches or applesauce")
	case info.Group == guide.Known:
		fail("product", info.Name+" are not canned at home, so there is nothing to learn; accepted: a product with tested times")
	}
	p.Product = info.ID
	if p.Form, ok = formNamed(info, t.Form); !ok && info.ID != "" {
		var names []string
		for _, f := range info.Forms {
			names = append(names, string(f))
		}
		fail("form", not(t.Form, "the form of "+info.Name, "no form of "+info.Name)+"; accepted: "+strings.Join(names, ", "))
	}
	packs := testedPacks(info.ID)
	if p.Pack = guide.Pack(strings.ToLower(t.Pack)); p.Pack == "" && len(packs) == 1 {
		p.Pack = packs[0]
	}
	if info.ID != "" && info.Group != guide.Known && !slices.Contains(packs, p.Pack) {
		var names []string
		for _, k := range packs {
			names = append(names, guide.PackName(k))
		}
		fail("pack", not(t.Pack, "the pack of "+info.Name, "no tested pack of "+info.Name)+"; accepted: "+strings.Join(names, " or "))
	}
	var err error
	if p.Fruit, err = measure.ParseMass(t.Fruit); err != nil || p.Fruit == 0 {
		fail("fruit", not(t.Fruit, "how much fruit went in", "not how much fruit went in")+"; accepted: a weight with its unit, as 24 lb or 11 kg")
	}
	if p.Filled, err = jar.ParseCounts(t.Jars); err != nil {
		fail("jars", err.Error())
	}
	if t.Liquid != "" {
		holds := 0.0
		for _, f := range p.Filled {
			holds += float64(f.Count) * f.Jar.Capacity.Litres()
		}
		if p.Liquid, err = measure.ParseVolume(t.Liquid); err != nil || p.Liquid.Litres() > holds && holds > 0 {
			fail("liquid", not(t.Liquid, "the liquid", "not the liquid that went into the jars")+"; accepted: 9 cups or 2.2 l, no more than they hold")
		}
	}
	if t.Minutes != "" {
		if p.Minutes, err = strconv.Atoi(strings.TrimSpace(strings.TrimSuffix(t.Minutes, "min"))); err != nil || p.Minutes < 0 || p.Minutes > 6000 {
			fail("minutes", not(t.Minutes, "the time", "not how long the fruit took")+"; accepted: whole minutes up to 6000")
		}
	}
	if p.Note = t.Note; len(p.Note) > 1000 {
		fail("note", "the note is too long; accepted: up to 1000 letters")
	}
	if p.Day, ok = dayNamed(t.Day); !ok || p.Day.After(today) || p.Day.Year() < 1900 {
		fail("day", not(t.Day, "the day", "no day up to today")+"; accepted: 2025-08-14, 14 August 2025, 14.8.2025 or the year alone")
	}
	return p, problems
}

// ReadPast reads a CSV of earlier batches: a header that names product, fruit, jars
// and day, with form, pack, liquid, minutes and note as there are any, in any order;
// other columns are passed over. A column named for a jar counts those:
//
//	day,product,form,pack,fruit,jars
//	2025-08-14,peaches,halves,hot,24 lb,"9 quarts, 1 pint"
//
//	year;product;fruit;quarts;pints
//	2024;applesauce;20 kg;14;3
//
// A file with anything wrong is refused whole, with line and column.
func ReadPast(r io.Reader, today time.Time) ([]Past, error) {
	file, err := openCSV(r, "a header with the columns day, product, fruit and jars, then a batch a line")
	if err != nil {
		return nil, err
	}
	jars := map[int]string{}
	for i, h := range file.head {
		if h = strings.TrimSpace(strings.NewReplacer("(", " ", ")", " ").Replace(h)); h == "year" || h == "date" {
			file.head[i] = "day"
		} else if _, ok := jar.FindName(h); ok {
			jars[i] = h
		}
	}
	for _, needed := range []string{"day", "product", "fruit"} {
		if file.column(needed) < 0 {
			return nil, fmt.Errorf("line 1: no column is called %s; accepted: a header with day, product, fruit and jars", needed)
		}
	}
	if file.column("jars") < 0 && len(jars) == 0 {
		return nil, errors.New("line 1: no column says how many jars; accepted: one called jars, or one for each size, as quarts, pints")
	}
	var all []Past
	for {
		row, line, err := file.next()
		if errors.Is(err, io.EOF) {
			break
		}
		if err != nil {
			return nil, err
		}
		of := func(name string) string {
			if i := file.column(name); i >= 0 {
				return row[i]
			}
			return ""
		}
		typed := PastTyped{of("product"), of("form"), of("pack"), of("fruit"), of("jars"), of("liquid"), of("minutes"), of("note"), of("day")}
		for i := range row {
			if name, ok := jars[i]; ok && row[i] != "" && row[i] != "0" {
				typed.Jars += ", " + row[i] + " " + name
			}
		}
		p, problems := typed.Read(today)
		if len(problems) > 0 {
			return nil, fmt.Errorf("line %d, %s: %s", line, problems[0].Column, problems[0].Problem)
		}
		if all = append(all, p); len(all) > mostPast {
			return nil, fmt.Errorf("line %d: the file is too long; accepted: %d batches", line, mostPast)
		}
	}
	if len(all) == 0 {
		return nil, errors.New("line 2: there is no batch; accepted: a batch a line after the header")
	}
	return all, nil
}

// not says what was wrong with what was written down: that it is missing, or that it
// is not what is meant.
func not(given, missing, meant string) string {
	if given == "" {
		return missing + " is not said"
	}
	return strconv.Quote(clip(given)) + " is " + meant
}

// testedPacks are the packs that a product has tested times for.
func testedPacks(id guide.Product) []guide.Pack {
	return slices.DeleteFunc(guide.Packs(), func(k guide.Pack) bool {
		return !slices.ContainsFunc(guide.Rows(), func(r guide.Row) bool { return r.Product == id && r.Pack == k })
	})
}

func productNamed(name string) (guide.ProductInfo, bool) {
	name = strings.ToLower(strings.TrimSpace(name))
	all := guide.Products()
	if i := slices.IndexFunc(all, func(p guide.ProductInfo) bool { return string(p.ID) == name || strings.ToLower(p.Name) == name }); i >= 0 {
		return all[i], true
	}
	return guide.ProductInfo{}, false
}

func formNamed(info guide.ProductInfo, name string) (guide.Form, bool) {
	name = strings.TrimPrefix(strings.ToLower(strings.TrimSpace(name)), "in ")
	for _, f := range info.Forms {
		if name == string(f) || name == guide.FormName(f) || name == "" && len(info.Forms) == 1 {
			return f, true
		}
	}
	return "", name == "" && len(info.Forms) == 0
}

func dayNamed(s string) (time.Time, bool) {
	for _, layout := range pastDays {
		if t, err := time.Parse(layout, strings.TrimSpace(s)); err == nil {
			return t, true
		}
	}
	return time.Time{}, false
}
