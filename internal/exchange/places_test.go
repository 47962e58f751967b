package exchange

import (
	"strings"
	"testing"
)

func TestReadPlaces(t *testing.T) {
	for _, in := range []string{
		"name,altitude\nCorvane,\"3,480 ft\"\nObere Hütte,1061 m\n",
		"\ufeffname;altitude\r\nCorvane;3,480 ft\r\nObere Hütte;1 061 m\r\n",
		"Altitude\tnote\tName\n3480 ft\tx\tCorvane\n1061 m\t\t Obere Hütte \n",
	} {
		ps, err := ReadPlaces(strings.NewReader(in))
		if err != nil || len(ps) != 2 || ps[0].Name != "Corvane" || ps[0].Altitude.Feet() != 3480 || ps[1].Name != "Obere Hütte" || ps[1].Altitude.Metres() != 1061 {
			t.Errorf("%q: %+v, %v", in, ps, err)
		}
	}
	for in, says := range map[string]string{
		"":                                                      "line 1: the file is empty",
		"name,altitude\n":                                       "line 2: there is no place",
		"place,height\nCorvane,3480 ft\n":                       "line 1: the header",
		"name,altitude\nCorvane,3480\n":                         "line 2, altitude: \"3480\" is not an altitude",
		"name,altitude\nA,1 ft\n\nB,1 mile\n":                   "line 4, altitude",
		"name,altitude\nA,1 ft\n ,2 ft\n":                       "line 3, name",
		"name,altitude\nA,1 ft\na,2 ft\n":                       "line 3, name: \"a\" stands on line 2 already",
		"name,altitude\nCorvane,3,480 ft\n":                     "stands in quotes",
		"name,altitude\nA,\"1 ft\n":                             "line 2",
		"name,altitude\nA,99999 ft\n":                           "line 2, altitude",
		"name,altitude\n" + "\xff\xfe,1 ft\n":                   "UTF-8",
		"name,altitude\n" + strings.Repeat("x", 81) + ",1 ft\n": "1 to 80 letters",
	} {
		ps, err := ReadPlaces(strings.NewReader(in))
		if err == nil || ps != nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%.60q: %v, %v; want %q", in, ps, err, says)
		}
	}
}

func FuzzReadPlaces(f *testing.F) {
	for _, s := range []string{"name,altitude\nA,\"3,480 ft\"\n", "name;altitude\nA;1 m", "a\tname\taltitude\n\"\n\t\t", "name,altitude\n=cmd(),0 ft"} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, s string) {
		ps, err := ReadPlaces(strings.NewReader(s))
		if (err == nil) != (len(ps) > 0) {
			t.Fatalf("%q: %v, %v", s, ps, err)
		}
		for _, p := range ps {
			if ft := p.Altitude.Feet(); p.Name == "" || ft < -1400 || ft > 15000 {
				t.Fatalf("%q: %+v", s, p)
			}
		}
	})
}
