package day

import (
	"slices"
	"strings"
	"testing"
)

func named(t *testing.T, tasks []Task, name string) (int, Task) {
	t.Helper()
	i := slices.IndexFunc(tasks, func(x Task) bool { return strings.HasPrefix(x.Name, name) })
	if i < 0 {
		t.Fatalf("there is no %s", name)
	}
	return i, tasks[i]
}

func TestTasksOfBatches(t *testing.T) {
	peaches := Making{Name: "peaches", Liquid: true, Prepare: 95, Portions: []Portion{{Jars: 7, Time: 35, Rest: 5, ToBoil: 22}, {Jars: 3, Time: 35, Rest: 5}}}
	pears := Making{Name: "pears", Raw: true, Liquid: true, Portions: []Portion{{Jars: 7, Time: 40, Rest: 5}}, Minutes: Minutes{JarMinutes: 3}}
	juice := Making{Name: "grape juice", Settle: 1440, Extract: Juicer, Part: Juice, Portions: []Portion{{Jars: 7, Time: 15, Rest: 5}}, From: 700, Minutes: Minutes{JuicerMinutes: 100}}
	tasks := Tasks([]Making{peaches, pears, juice})
	p := Problem{Begin: 480, Burners: 4, Pots: 2, Cooks: []Cook{{There: Span{480, 2000}}, {There: Span{480, 2000}}}, Canners: []Canner{{}}, Tasks: tasks}
	if err := p.Check(); err != nil {
		t.Fatal(err)
	}
	fruit, first := named(t, tasks, "Fruit, peaches, load 1 of 2")
	_, second := named(t, tasks, "Fruit, peaches, load 2 of 2")
	if first.Minutes != 67 || second.Minutes != 29 || !slices.Equal(second.After, []int{fruit}) {
		t.Errorf("95 minutes for ten jars: %d for seven, %d for three after %v", first.Minutes, second.Minutes, second.After)
	}
	cook, hot := named(t, tasks, "Cook, peaches, load 1")
	liquid, _ := named(t, tasks, "Liquid, peaches")
	jars, _ := named(t, tasks, "Hot jars, peaches")
	_, load := named(t, tasks, "Load, peaches, load 1")
	for _, need := range []int{cook, liquid, jars, fruit} {
		if !slices.Contains(load.After, need) {
			t.Errorf("it is filled before %s", tasks[need].Name)
		}
	}
	if !hot.Hot || load.Load.Fill != 14 || load.Load.Boil != 22 || load.Load.Warm != 5 {
		t.Errorf("%+v %+v", hot, load.Load)
	}
	if _, other := named(t, tasks, "Load, peaches, load 2"); other.Load.Boil != 25 {
		t.Error("a way to the boil that is not known is not by the table")
	}
	_, raw := named(t, tasks, "Load, pears")
	if raw.Load.Warm != 15 || raw.Load.Fill != 21 || slices.ContainsFunc(tasks, func(x Task) bool { return strings.HasPrefix(x.Name, "Cook, pears") }) {
		t.Errorf("a raw pack: %+v", raw.Load)
	}
	_, juicer := named(t, tasks, "Juicer, grape juice")
	if !slices.Equal(juicer.Hands, []Span{{0, 2}, {45, 47}, {90, 92}}) || !juicer.Burner {
		t.Errorf("%+v", juicer.Hands)
	}
	pl, ok := Make(p, usual)
	if !ok {
		t.Fatal("no plan")
	}
	if err := valid(p, pl); err != nil {
		t.Fatal(err)
	}
	if at, _ := named(t, tasks, "Juicer"); pl.Placed[at].Start < 700 {
		t.Error("the juicer begins before its fruit is there")
	}
	for _, d := range Defaults() {
		if d.Minutes <= 0 || d.Minutes > MostMinutes || d.Name == "" || (Minutes{}).Of(d.ID) != d.Minutes {
			t.Error(d)
		}
	}
	if (Minutes{}).Of("nothing") != 0 {
		t.Error("something takes no time that nobody knows of")
	}
}

// TestWaysOfMaking looks at what is not fruit in jars alone: every way has a plan that holds.
func TestWaysOfMaking(t *testing.T) {
	one := []Portion{{Jars: 4, Time: 15, Rest: 5}, {Jars: 3, Time: 15, Rest: 5}}
	for _, c := range []struct {
		m    Making
		keys string
	}{
		{Making{Name: "halves", Dip: true, Liquid: true, Portions: one}, "jars/0 liquid/0 dip/1 fruit/1 cook/1 load/1 dip/2 fruit/2 cook/2 load/2"},
		{Making{Name: "raw", Raw: true, Liquid: true, Portions: one}, "jars/0 liquid/0 fruit/1 load/1 fruit/2 load/2"},
		{Making{Name: "butter", Slow: true, Portions: one}, "jars/0 fruit/0 slow/0 cook/1 load/1 cook/2 load/2"},
		{Making{Name: "syrup", Extract: Press, Portions: one}, "jars/0 press/0 cook/1 load/1 cook/2 load/2"},
		{Making{Name: "juice today", Extract: Juicer, Settle: 1440, Part: Juice, Portions: one}, "juicer/0"},
		{Making{Name: "juice tomorrow", Extract: Juicer, Settle: 1440, Part: Jars, Portions: one}, "jars/0 cook/1 load/1 cook/2 load/2"},
	} {
		tasks := Tasks([]Making{c.m})
		var keys []string
		for _, x := range tasks {
			keys = append(keys, x.Key())
			if x.Step.Name() == "" || !strings.HasSuffix(x.Name, c.m.Name) && !strings.Contains(x.Name, " of 2") {
				t.Errorf("%s is called %q", x.Key(), x.Name)
			}
		}
		if got := strings.Join(keys, " "); got != c.keys {
			t.Errorf("%s: %s", c.m.Name, got)
		}
		p := Problem{Begin: 480, Burners: 2, Pots: 1, Cooks: []Cook{{There: Span{480, 2000}}}, Canners: []Canner{{}}, Tasks: tasks}
		pl, ok := Make(p, usual)
		if !ok {
			t.Fatal(c.m.Name, p.Check())
		}
		if err := valid(p, pl); err != nil {
			t.Errorf("%s: %v", c.m.Name, err)
		}
	}
	known := Tasks([]Making{{Name: "halves", Dip: true, Prepare: 70, Portions: one}})
	sum := 0
	for _, x := range known {
		if x.Step == Dip || x.Step == Fruit {
			sum += x.Minutes
		}
	}
	if sum != 70 {
		t.Errorf("seventy minutes that are known become %d", sum)
	}
	_, slow := named(t, Tasks([]Making{{Name: "butter", Slow: true, Portions: one}}), "Slow pot")
	if !slices.Equal(slow.Hands, []Span{{0, 1}, {60, 61}, {120, 121}, {180, 181}}) {
		t.Errorf("a slow pot is looked at %v", slow.Hands)
	}
}
