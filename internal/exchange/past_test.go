package exchange

import (
	"fmt"
	"strings"
	"testing"
	"time"

	"mellisca/core/measure"
)

var today = time.Date(2026, 8, 14, 0, 0, 0, 0, time.UTC)

func TestReadPast(t *testing.T) {
	for in, want := range map[string]string{
		"day,product,form,pack,fruit,jars\n2025-08-14,peaches,halves,hot,24 lb,\"9 quarts, 1 pint\"\n":             "2025-08-14 peaches halves hot 24 lb quart 9 pint 1",
		"\ufeffYear;Product;Fruit;Quarts;Pints;who\r\n2024;Applesauce;20 kg;14;3;me\r\n":                           "2024-01-01 applesauce sauce hot 44 lb quart 14 pint 3",
		"jars\tpack\tproduct\tdate\tfruit\tform\tnote\n7 quarts\tRAW\tPeaches\t3.9.2023\t17.5 lb\tin halves\tripe": "2023-09-03 peaches halves raw 17 lb 8 oz quart 7",
		"product,fruit,day,quarts\nrhubarb,24 lb,2024,11":                                                          "2024-01-01 rhubarb pieces hot 24 lb quart 11",
		"product,fruit,day,500 ml,250 ml jars,liquid,minutes\napple juice,24 lb,\"14 August 2025\",0,6,1 l,45":     "2025-08-14 apple-juice sauce hot 24 lb 250-ml 6",
	} {
		all, err := ReadPast(strings.NewReader(in), today)
		if err != nil || len(all) != 1 {
			t.Errorf("%q: %v", in, err)
			continue
		}
		p := all[0]
		got := fmt.Sprint(p.Day.Format(time.DateOnly), " ", p.Product, " ", p.Form, " ", p.Pack, " ", p.Fruit.Text(measure.US))
		for _, f := range p.Filled {
			got += fmt.Sprint(" ", f.Jar.ID, " ", f.Count)
		}
		if got != want {
			t.Errorf("%q: %s; want %s", in, got, want)
		}
	}
	const head = "day,product,form,pack,fruit,jars,liquid,minutes\n"
	for in, says := range map[string]string{
		"":                            "line 1: the file is empty",
		head:                          "line 2: there is no batch",
		"day,product,jars\n":          "line 1: no column is called fruit",
		"day,product,fruit,bottles\n": "line 1: no column says how many jars",
		head + "2025-08-14,stones,,hot,24 lb,9 quarts,,":                                                                  "line 2, product: \"stones\"",
		head + "2025-08-14,bananas,,hot,24 lb,9 quarts,,":                                                                 "line 2, product: bananas are not canned",
		head + "2025-08-14,peaches,,hot,24 lb,9 quarts,,":                                                                 "line 2, form: the form of peaches is not said; accepted: halves, slices",
		head + "2025-08-14,peaches,halves,,24 lb,9 quarts,,":                                                              "line 2, pack",
		head + "2025-08-14,peaches,halves,hot,24,9 quarts,,":                                                              "line 2, fruit",
		head + "2025-08-14,peaches,halves,hot,0 lb,9 quarts,,":                                                            "line 2, fruit",
		head + "2025-08-14,peaches,halves,hot,1000000000 lb,9 quarts,,":                                                   "line 2, fruit",
		head + "2025-08-14,peaches,halves,hot,24 lb,nine quarts,,":                                                        "line 2, jars",
		head + "2025-08-14,peaches,halves,hot,24 lb,1 pint,1 gal,":                                                        "line 2, liquid",
		head + "2025-08-14,peaches,halves,hot,24 lb,1 pint,,long":                                                         "line 2, minutes",
		head + "2026-08-15,peaches,halves,hot,24 lb,1 pint,,":                                                             "line 2, day",
		head + "8/14/2025,peaches,halves,hot,24 lb,1 pint,,":                                                              "line 2, day",
		head + "2025-08-14,peaches,halves,hot,24 lb,9 quarts,,\n\n2025-08-14,peaches,halves,hot,24 lb,9 quarts, 1 pint,,": "line 4",
		head + "2025-08-14,rhubarb,,raw,24 lb,9 quarts,,":                                                                 "line 2, pack: \"raw\" is no tested pack of rhubarb; accepted: hot",
		head + "\xff": "UTF-8",
	} {
		all, err := ReadPast(strings.NewReader(in), today)
		if err == nil || all != nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%.80q: %v, %v; want %q", in, all, err, says)
		}
	}
}

func FuzzReadPast(f *testing.F) {
	for _, s := range []string{
		"day,product,form,pack,fruit,jars\n2025-08-14,peaches,halves,hot,24 lb,\"9 quarts, 1 pint\"\n",
		"year;product;fruit;quarts;pints\n2024;applesauce;20 kg;14;3", "quarts\tday\tproduct\tfruit\n-1\t2024\tjam\t1 lb", "jars,jars,day,fruit,product\n",
	} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		all, err := ReadPast(strings.NewReader(s), today)
		if (err == nil) != (len(all) > 0) {
			t.Fatalf("%q: %v, %v", s, all, err)
		}
		for _, p := range all {
			if p.Product == "" || p.Fruit <= 0 || len(p.Filled) == 0 || p.Filled[0].Count < 1 || p.Day.After(today) || p.Pack == "" {
				t.Fatalf("%q: %+v", s, p)
			}
		}
	})
}
