package server

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"mellisca/core/batch"
	"mellisca/core/day"
	"mellisca/core/measure"
)

// clock says minutes from midnight as on a clock: "8:05"; of the day after, "0:20 the day
// after".
func clock(minute int) string {
	if minute == 24*60 {
		return "midnight"
	}
	text := fmt.Sprintf("%d:%02d", minute/60%24, minute%60)
	if minute >= 24*60 {
		text += " the day after"
	}
	return text
}

// fromTo says a stretch: "8:20 to 8:45".
func fromTo(from, to int) string {
	if from >= 24*60 {
		return fmt.Sprintf("%d:%02d to %s", from/60%24, from%60, clock(to))
	}
	return clock(from) + " to " + clock(to)
}

// minutesText says how long: "25 min", "1 h 50 min".
func minutesText(n int) string {
	switch {
	case n < 60:
		return fmt.Sprintf("%d min", n)
	case n%60 == 0:
		return fmt.Sprintf("%d h", n/60)
	}
	return fmt.Sprintf("%d h %d min", n/60, n%60)
}

// batchOf finds the batch of a task.
func (w *dayWork) batchOf(task int) (workBatch, int) {
	for i, b := range w.batches {
		if b.at == w.problem.Tasks[task].Batch {
			return b, i
		}
	}
	return workBatch{at: -1}, -1
}

var stepTitles = map[day.Step]string{
	day.HotJars: "Wash the jars, keep them hot", day.Liquid: "Make the liquid", day.Juicer: "Steam the juice out", day.Press: "Press and strain", day.Slow: "Slow pot",
	day.Dip: "Dip and peel", day.Fruit: "Get the fruit ready", day.Heat: "Cook it", day.Canning: "Fill, and can",
}

// steps puts every step in words, in the order of time.
func (a *dayAnswer) steps() {
	w := a.w
	begun := map[int]day.Progress{}
	for _, g := range a.now.begun {
		begun[g.Task] = g
	}
	implied := map[int]bool{}
	passed := map[int]bool{} // something after it has begun
	for _, f := range a.real.Fixed {
		implied[f.Task] = true
		for _, before := range a.real.Tasks[f.Task].After {
			passed[before] = true
		}
	}
	for i, at := range a.placed {
		t := a.real.Tasks[i]
		b, _ := w.batchOf(i)
		key := w.keys[i]
		st := dayStepBody{Key: key, Kind: string(t.Step), Title: stepTitles[t.Step], Of: b.headline, From: at.Start, To: at.End, Time: fromTo(at.Start, at.End), Locked: w.problem.Tasks[i].Locked,
			Batch: b.Batch, Product: tintOf(b.plan), Kept: t.Hot, Can: []string{}, Pieces: []dayPieceBody{}, Load: a.now.loads[i], State: "ahead"}
		st.With, st.Who, st.Where = a.with(i, b), a.who(at), a.where(at)
		g, told := begun[i]
		switch {
		case told && (g.Ended > 0 || passed[i]) || !told && implied[i]:
			st.State = "done"
		case told:
			st.State = "now"
		case a.State == "over":
			st.State = "late"
		case a.State == "running" && a.prior[i].Start < a.now.minute && at.Start <= a.now.minute:
			st.State = "late" // it could begin now; what can only begin later has its own time
		}
		if moved := at.Start - a.prior[i].Start; a.State == "running" && st.State != "done" && abs(moved) >= 3 {
			st.Moved = minutesText(abs(moved)) + map[bool]string{true: " later", false: " earlier"}[moved > 0]
		}
		if (t.Step == day.Heat || t.Step == day.Liquid) && st.State != "done" {
			if waits := a.waits(i); waits > hotWait {
				st.With += fmt.Sprintf("; it stands for %s, so bring it back to the boil before it goes into jars", minutesText(waits))
			}
		}
		if t.Load != nil {
			st.Number, st.Canner = t.Portion-1, w.canners[at.Canner].id
			st.Pieces = pieces(a.w.problem.Tasks[i].Load, t.Load, at, implied[i])
		}
		st.Can = a.can(st)
		a.Steps = append(a.Steps, st)
	}
	a.litSteps()
	for i := range a.Steps {
		a.Steps[i].At = measure.ClockText(a.Steps[i].From % (24 * 60))
	}
	slices.SortStableFunc(a.Steps, func(x, y dayStepBody) int { return cmp.Or(cmp.Compare(x.From, y.From), cmp.Compare(x.To, y.To)) })
}

// hotWait is for how many minutes what is hot may stand before it is heated through again:
// our own guess.
const hotWait = 15

// waits is how long what comes of a task stands until something is made of it.
func (a *dayAnswer) waits(task int) int {
	first := -1
	for j, t := range a.real.Tasks {
		if slices.Contains(t.After, task) && (first < 0 || a.placed[j].Start < first) {
			first = a.placed[j].Start
		}
	}
	if first < 0 {
		return 0
	}
	return first - a.placed[task].End
}

func abs(n int) int { return max(n, -n) }

// tintOf is by which fruit a batch is drawn.
func tintOf(p batch.Plan) string { return string(p.Query.Product) }

// can lists what may be told of a step.
func (a *dayAnswer) can(st dayStepBody) (all []string) {
	all = []string{}
	if a.State == "over" {
		return all
	}
	if a.now.minute >= -60 { // of the day before it nothing is told
		switch {
		case st.Kind == string(day.Canning):
			if st.Load == "" {
				all = append(all, "hob")
			}
		case st.State == "now":
			all = append(all, "done", "back")
		case a.now.told[st.Key] != "":
			all = append(all, "back")
		case st.State != "done":
			all = append(all, "begun", "done")
		}
	}
	if st.State == "ahead" || st.State == "late" {
		if st.Locked {
			return append(all, "unlock")
		}
		return append(all, "lock")
	}
	return all
}

// litSteps adds when each canner is to be lit.
func (a *dayAnswer) litSteps() {
	for c, canner := range a.w.canners {
		first := -1
		for i, at := range a.placed {
			if a.real.Tasks[i].Load != nil && at.Canner == c && (first < 0 || at.Start < a.placed[first].Start) {
				first = i
			}
		}
		if first < 0 {
			continue
		}
		at := a.placed[first]
		held := at.Held(a.real.Tasks[first].Load)
		st := dayStepBody{Key: litKey(canner.id), Kind: "lit", Title: "Light " + canner.name, From: held.From, To: held.From + at.Lead, State: "ahead", Canner: canner.id, Can: []string{}, Pieces: []dayPieceBody{}, Product: "water",
			With: fmt.Sprintf("It takes %s until the jars may go in, at %s.", minutesText(max(at.Lead, 1)), clock(held.From+at.Lead))}
		if at.Burner >= 0 {
			st.Where = fmt.Sprintf("burner %d", at.Burner+1)
		}
		since, lit := a.now.lit[canner.id]
		for _, g := range a.now.begun {
			if g.Task == first {
				if !lit {
					since, lit = a.prior[first].Held(a.w.problem.Tasks[first].Load).From, true
				}
				st.To = max(since, g.Began)
			}
		}
		switch {
		case lit:
			if st.From, st.State = since, "done"; a.now.lit[canner.id] > 0 {
				st.Can = []string{"back"}
			}
			st.To, st.With = max(st.To, since), ""
		case a.State == "over":
			st.State = "late"
		default:
			st.Can = []string{"begun"}
			if a.State == "running" && a.prior[first].Held(a.w.problem.Tasks[first].Load).From < a.now.minute && held.From <= a.now.minute {
				st.State = "late"
			}
		}
		st.Time = clock(st.From)
		a.Steps = append(a.Steps, st)
	}
}

// pieces is a load in its parts; of one that has begun only those that are known.
func pieces(planned, l *day.Load, at day.Placed, begun bool) (all []dayPieceBody) {
	all = []dayPieceBody{}
	from := at.Start
	add := func(what string, minutes int) {
		if minutes > 0 {
			all = append(all, dayPieceBody{from, from + minutes, what, measure.ClockText(from % (24 * 60))})
		}
		from += max(0, minutes)
	}
	add("Fill and close", l.Fill)
	from += at.Gap
	add("Jars in", l.In)
	if begun {
		add(fmt.Sprintf("In the canner, %d min from the boil", planned.Time), l.Boil+l.Time+l.Rest)
	} else {
		add("To the boil", l.Boil)
		add(fmt.Sprintf("%d min from the boil", l.Time), l.Time)
		add("Rest", l.Rest)
	}
	add("Jars out", l.Out)
	return all
}

// who names the cooks of a task, each once.
func (a *dayAnswer) who(at day.Placed) string {
	var names []string
	for _, c := range at.Cooks {
		if c >= 0 && c < len(a.w.Cooks) && !slices.Contains(names, a.w.Cooks[c].Name) {
			names = append(names, a.w.Cooks[c].Name)
		}
	}
	return strings.Join(names, " and ")
}

func (a *dayAnswer) where(at day.Placed) string {
	var words []string
	if at.Canner >= 0 {
		words = append(words, a.w.canners[at.Canner].name)
	}
	if at.Pot >= 0 && a.w.Pots > 1 {
		words = append(words, fmt.Sprintf("big pot %d", at.Pot+1))
	} else if at.Pot >= 0 {
		words = append(words, "the big pot")
	}
	if at.Burner >= 0 {
		words = append(words, fmt.Sprintf("burner %d", at.Burner+1))
	}
	return strings.Join(words, ", ")
}

// with says how much of what a step takes.
func (a *dayAnswer) with(i int, b workBatch) string {
	t, p, units := a.w.problem.Tasks[i], b.plan, a.w.kitchen.Units
	share := 1.0
	if t.Portion == 0 && (b.First > 0 || b.Last > 0) && p.Jars != nil && p.Jars.Planned > 0 {
		jars := 0
		for n, l := range p.Loads {
			if n >= b.First && (b.Last == 0 || n < b.Last) {
				jars += l.Count()
			}
		}
		share = float64(jars) / float64(p.Jars.Planned)
	}
	if t.Portion > 0 && p.Jars != nil && p.Jars.Planned > 0 && t.Portion <= len(p.Loads) {
		share = float64(p.Loads[t.Portion-1].Count()) / float64(p.Jars.Planned)
	}
	of := ""
	if t.Portion > 0 && len(p.Loads) > 1 {
		of = fmt.Sprintf(", load %d of %d", t.Portion, len(p.Loads))
	}
	switch t.Step {
	case day.HotJars:
		if share < 1 {
			return fmt.Sprintf("%.0f of %s", share*float64(p.Jars.Planned), p.JarsText())
		}
		return p.JarsText()
	case day.Liquid:
		if p.Pour != nil && p.Pour.Litres > 0 {
			return measure.Litres(p.Pour.Litres*share).Text(units) + " of " + p.Pour.Name
		}
	case day.Dip, day.Fruit, day.Juicer, day.Press, day.Slow:
		if m := p.Amount.Fruit; m > 0 || p.Fruit != nil {
			if m == 0 {
				m = p.Fruit.Likely
			}
			return "about " + measure.Grams(m.Grams()*share).Text(units) + " of fruit" + of
		}
	case day.Heat:
		return "hot, for " + batch.FilledText(p.Loads[t.Portion-1].Jars) + of
	case day.Canning:
		text := fmt.Sprintf("%s, %d min from the boil%s", batch.FilledText(p.Loads[t.Portion-1].Jars), t.Load.Time, of)
		if t.Load.Warm > 10 {
			text += "; raw: the water hot, not boiling"
		}
		return text
	}
	return strings.TrimPrefix(of, ", ")
}
