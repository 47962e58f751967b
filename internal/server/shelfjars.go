package server

import (
	"context"
	"fmt"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// JarFields is a jar that was not run here: from before, a present, or of a batch that
// was closed by hand.
type JarFields struct {
	Count     int    `json:"count" minimum:"1" maximum:"200" doc:"like jars"`
	Product   string `json:"product" required:"false" maxLength:"60" doc:"of the catalogue; empty: something else, as said in what"`
	Form      string `json:"form" required:"false" maxLength:"40"`
	What      string `json:"what" required:"false" maxLength:"120" doc:"what it is called; by the product where left out"`
	Strength  string `json:"strength" required:"false" maxLength:"120" doc:"pack and liquid, as known"`
	Jar       string `json:"jar" maxLength:"40"`
	Canned    string `json:"canned" maxLength:"20" doc:"2025-08-14, 14 August 2025, or the year alone"`
	Origin    string `json:"origin" enum:"before,present,batch" doc:"made here before; given by others; of a batch closed by hand"`
	MadeBy    string `json:"madeBy" required:"false" maxLength:"80"`
	Process   string `json:"process" enum:"told,own,unknown" doc:"told: by a tested time, as the cook knows"`
	Source    string `json:"source" required:"false" maxLength:"200" doc:"of own: which"`
	Batch     string `json:"batch" required:"false" maxLength:"40"`
	Place     string `json:"place" required:"false" maxLength:"40"`
	Note      string `json:"note" required:"false" maxLength:"500"`
	Allergens string `json:"allergens" required:"false" maxLength:"200" doc:"for its label"`
}

// JarWordsFields is what a cook may change of any jar.
type JarWordsFields struct {
	Note      string `json:"note" maxLength:"500"`
	Allergens string `json:"allergens" maxLength:"200"`
	UseFirst  bool   `json:"useFirst"`
}

type historyBody struct {
	Text   string `json:"text"`
	Undone bool   `json:"undone"`
}

type jarPageBody struct {
	ShelfJarBody
	Allergens string         `json:"allergens"`
	Source    string         `json:"source" doc:"of its time"`
	Load      string         `json:"load"`
	Batch     string         `json:"batch"`
	Caution   string         `json:"caution" doc:"before it is opened; empty where there is none but the usual"`
	History   []historyBody  `json:"history" nullable:"false" doc:"the newest first"`
	Signs     []signBody     `json:"signs" nullable:"false" doc:"for which it is thrown away"`
	Places    []placeOnShelf `json:"places" nullable:"false" doc:"to move it to"`
}

type signBody struct {
	ID   string `json:"id"`
	Text string `json:"text"`
}

type jarOutput struct{ Body jarPageBody }

type foundJarsBody struct {
	Total int            `json:"total"`
	Jars  []ShelfJarBody `json:"jars" nullable:"false"`
}

// AddedBody is jars that were put on the shelf.
type AddedBody struct {
	IDs  []string `json:"ids" nullable:"false"`
	Text string   `json:"text"`
}

func signBodies() []signBody {
	all := []signBody{}
	for _, s := range shelf.Signs() {
		all = append(all, signBody(s))
	}
	return all
}

func (s *server) registerJars(api huma.API, op func(id, method, path, summary string) huma.Operation) {
	huma.Register(api, op("jars", "GET", "/api/shelf/jars", "Find jars by anything that is known of them, a page at a time"), func(ctx context.Context, in *struct {
		Words  string `query:"q" maxLength:"200" doc:"all of these words, anywhere"`
		State  string `query:"state" enum:"here,gone,all,shelf,open,refrigerator,freezer,eaten,given,broken,discarded,pulled" default:"here"`
		Place  string `query:"place" maxLength:"40"`
		Newest bool   `query:"newest"`
		Skip   int    `query:"skip" minimum:"0" maximum:"1000000"`
		Limit  int    `query:"limit" minimum:"1" maximum:"500" default:"100"`
	}) (*struct{ Body foundJarsBody }, error) {
		if in.State == "all" {
			in.State = ""
		}
		jars, total, err := s.store.FindJars(ctx, store.Find{Words: in.Words, State: in.State, Place: in.Place, Newest: in.Newest, Skip: in.Skip, Limit: in.Limit})
		if err != nil {
			return nil, s.storeProblem(err, "shelf")
		}
		places, err := s.store.ShelfPlaces(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "shelf")
		}
		return &struct{ Body foundJarsBody }{foundJarsBody{total, s.jarBodies(jars, placeNames(places))}}, nil
	})
	huma.Register(api, op("jar", "GET", "/api/shelf/jars/{id}", "A jar, and all that was told of it"), func(ctx context.Context, in *PotID) (*jarOutput, error) {
		return s.jarAnswer(ctx, strings.ToLower(in.ID))
	})
	huma.Register(api, op("add-jars", "POST", "/api/shelf/jars", "Put jars on the shelf that were not run here"), func(ctx context.Context, in *struct{ Body JarFields }) (*struct{ Body AddedBody }, error) {
		j, problems := s.readJar(ctx, in.Body)
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		ids, err := s.store.AddJars(ctx, slices.Repeat([]store.Jar{j}, in.Body.Count), s.now())
		if err != nil {
			return nil, s.storeProblem(err, "jar")
		}
		of, _ := jar.Find(j.Jar)
		return &struct{ Body AddedBody }{AddedBody{ids, upper(of.Count(in.Body.Count)) + " of " + j.What + ": kept."}}, nil
	})
	huma.Register(api, op("change-jar", "PUT", "/api/shelf/jars/{id}", "Change the note of a jar, its allergens, and whether it goes first"), func(ctx context.Context, in *struct {
		PotID
		Body JarWordsFields
	}) (*jarOutput, error) {
		j, _, err := s.store.Jar(ctx, in.ID)
		if err != nil {
			return nil, s.storeProblem(err, "jar")
		}
		j.Note, j.Allergens, j.UseFirst = in.Body.Note, in.Body.Allergens, in.Body.UseFirst
		if err := s.store.ChangeJar(ctx, j); err != nil {
			return nil, s.storeProblem(err, "jar")
		}
		return s.jarAnswer(ctx, in.ID)
	})
	huma.Register(api, op("look-over", "GET", "/api/shelf/round", "The jars that are to be looked over, and what to look for"), func(ctx context.Context, _ *struct{}) (*struct{ Body roundBody }, error) {
		return s.round(ctx)
	})
}

func (s *server) jarBodies(jars []store.Jar, names map[string]string) []ShelfJarBody {
	all := []ShelfJarBody{}
	for _, j := range jars {
		all = append(all, shelfJar(j, s.today(), names))
	}
	return all
}

// readJar understands a jar as it was typed.
func (s *server) readJar(ctx context.Context, f JarFields) (j store.Jar, problems []error) {
	fail := func(where, text string, given any) { problems = append(problems, field("body."+where, text, given)) }
	today := s.today()
	j = store.Jar{Origin: f.Origin, What: strings.TrimSpace(f.What), Strength: strings.TrimSpace(f.Strength), Product: f.Product, Form: f.Form, Jar: jar.ID(f.Jar), MadeBy: strings.TrimSpace(f.MadeBy),
		Process: shelf.Process(f.Process), Source: strings.TrimSpace(f.Source), Batch: f.Batch, Note: f.Note, Allergens: strings.TrimSpace(f.Allergens)}
	if f.Product != "" {
		info, ok := guide.FindProduct(guide.Product(f.Product))
		switch {
		case !ok:
			fail("product", "Accepted: a product of the list, or none and what it is called.", f.Product)
		case f.Form != "" && !slices.Contains(info.Forms, guide.Form(f.Form)):
			fail("form", "That is no form of "+info.Name+".", f.Form)
		case j.What == "":
			j.What = info.Name
			if f.Form != "" && len(info.Forms) > 1 {
				j.What += ", " + guide.FormName(guide.Form(f.Form))
			}
		}
		if ok && info.Group == guide.Known && f.Process == string(shelf.TestedAsTold) {
			fail("process", info.Name+" has no tested time for home canning, so it cannot have been run by one. Accepted: an own source, or not known.", f.Process)
		}
	} else if j.What == "" {
		fail("what", "Say what is in it, or choose a product.", f.What)
	}
	if _, ok := jar.Find(j.Jar); !ok {
		fail("jar", "Accepted: a jar of the list.", f.Jar)
	}
	if f.Product == "" && f.Process == string(shelf.TestedAsTold) {
		fail("process", "A tested time is one of a product of the list. Choose the product, name your own source, or say that it is not known.", f.Process)
	}
	if f.Process == string(shelf.OwnBook) && j.Source == "" {
		fail("source", "Say which book or leaflet, with its page.", f.Source)
	}
	if f.Origin == "present" && j.MadeBy == "" {
		fail("madeBy", "Say who made it, so that you can ask.", f.MadeBy)
	}
	if f.Batch != "" {
		if r, err := s.recallOf(ctx, "", f.Batch); err != nil || r != nil {
			text := "It could not be looked up whether this batch was called back. Try again."
			if r != nil {
				text = "This batch was called back: " + r.Why + " Its jars do not go on the shelf."
			}
			fail("batch", text, f.Batch)
		}
	}
	var ok bool
	if j.Canned, j.YearOnly, ok = readCanned(f.Canned, today); !ok {
		fail("canned", "Accepted: the day as 2025-08-14 or 14 August 2025, or the year alone; today or before.", f.Canned)
	}
	place, err := s.placeFor(ctx, f.Place)
	if err != nil {
		problems = append(problems, field("body.place", "There is no such place any more. Choose another.", f.Place))
	}
	j.Life = shelf.Life{State: shelf.Standing, Place: place, Since: today}
	return j, problems
}

// readCanned reads the day on which a jar was canned; of a year alone its first, so that
// the jar is taken for older rather than younger.
func readCanned(typed string, today fruit.Day) (d fruit.Day, yearOnly, ok bool) {
	typed = strings.TrimSpace(typed)
	for _, layout := range []string{time.DateOnly, "2 January 2006", "2 Jan 2006", "January 2, 2006", "2.1.2006", "January 2006", "2006"} {
		t, err := time.Parse(layout, typed)
		if err != nil {
			continue
		}
		d = fruit.Day(t.Unix() / 86_400)
		return d, layout == "2006", t.Year() >= 1900 && d <= today
	}
	return 0, false, false
}

func (s *server) jarAnswer(ctx context.Context, id string) (*jarOutput, error) {
	j, lines, err := s.store.Jar(ctx, id)
	if err != nil {
		return nil, s.storeProblem(err, "jar")
	}
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "jar")
	}
	today := s.today()
	b := jarPageBody{ShelfJarBody: shelfJar(j, today, placeNames(places)), Allergens: j.Allergens, Source: j.Source, Load: j.Load, Batch: j.Batch, History: historyOf(lines, placeNames(places), today), Signs: signBodies(), Places: []placeOnShelf{}}
	if j.State == shelf.Pulled || j.State == shelf.Discarded {
		b.Text += ". " + j.Why
	}
	for _, p := range places {
		b.Places = append(b.Places, placeOnShelf{ID: p.ID, Name: p.Name, Kind: p.Kind, Groups: []jarGroupBody{}})
	}
	switch {
	case j.State == shelf.Pulled || j.Recall != "" && j.State == shelf.Given:
		b.Caution = shelf.SpoiltText
	case j.Process == shelf.Unknown:
		b.Caution = shelf.UnknownText
	case j.State == shelf.Standing && shelf.AgeOf(j.Canned, today) != shelf.Best:
		b.Caution = "It is past its best by a year's reckoning: that is its taste and colour. Look it over before you open it, and eat it first."
	}
	return &jarOutput{b}, nil
}

func historyOf(lines []shelf.Line, places map[string]string, today fruit.Day) []historyBody {
	undone := map[int]bool{}
	for _, l := range lines {
		if l.Act == shelf.Undone {
			undone[l.Undoes] = true
		}
	}
	all := []historyBody{}
	for i, l := range slices.Backward(lines) {
		if l.Act != shelf.Undone {
			all = append(all, historyBody{upper(dayWords(l.Day, today)) + ": " + lineText(l, places), undone[i+1]})
		}
	}
	return all
}

func lineText(l shelf.Line, places map[string]string) string {
	in := func(place string) string {
		if name := places[place]; name != "" {
			return " in " + name
		}
		return ""
	}
	why := ""
	if l.Why != "" {
		why = ": " + l.Why
	}
	switch l.Act {
	case shelf.Begun:
		switch l.State {
		case shelf.Standing:
			return "put on the shelf" + in(l.Place)
		case shelf.Cold:
			return "into the refrigerator"
		case shelf.Frozen:
			return "into the freezer"
		case shelf.Pulled:
			return "kept apart" + why
		}
		return "thrown away" + why
	case shelf.Moved:
		return "moved" + in(l.Place)
	case shelf.Took:
		return "opened"
	case shelf.Finished:
		return "eaten up"
	case shelf.Gave:
		return "given to " + l.Who
	case shelf.Broke:
		return "broken" + why
	case shelf.Looked:
		return "looked over, and sound"
	case shelf.Pull:
		return "called back" + why
	case shelf.Warned:
		return "whoever has it was told"
	}
	return "thrown away" + why
}

type roundPlace struct {
	Name string         `json:"name"`
	Jars []ShelfJarBody `json:"jars" nullable:"false"`
}

type roundBody struct {
	Places []roundPlace `json:"places" nullable:"false"`
	Count  int          `json:"count"`
	Signs  []signBody   `json:"signs" nullable:"false"`
	Spoilt string       `json:"spoilt" doc:"what to do with a jar that shows any of them"`
	Next   string       `json:"next" doc:"when the next jar is due; empty where some are due now, or none stands there"`
}

func (s *server) round(ctx context.Context) (*struct{ Body roundBody }, error) {
	today := s.today()
	due, err := s.store.JarsDue(ctx, today)
	if err != nil {
		return nil, s.storeProblem(err, "shelf")
	}
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "shelf")
	}
	names := placeNames(places)
	b := roundBody{Places: []roundPlace{}, Count: len(due), Signs: signBodies(), Spoilt: shelf.SpoiltText}
	for _, j := range due {
		name := names[j.Place]
		if name == "" {
			name = "No place said"
		}
		if n := len(b.Places); n == 0 || b.Places[n-1].Name != name {
			b.Places = append(b.Places, roundPlace{Name: name, Jars: []ShelfJarBody{}})
		}
		p := &b.Places[len(b.Places)-1]
		p.Jars = append(p.Jars, shelfJar(j, today, names))
	}
	if len(due) == 0 {
		here, err := s.store.JarsHere(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "shelf")
		}
		next := fruit.Day(0)
		for _, j := range here {
			if d := (shelf.Look{Canned: j.Canned, Looked: j.Looked, UseFirst: j.UseFirst, Process: j.Process}).Due(); j.State == shelf.Standing && (next == 0 || d < next) {
				next = d
			}
		}
		if next > 0 {
			b.Next = fmt.Sprintf("The next jar is to be looked over on %s.", dateOf(next).Format("2 January 2006"))
		}
	}
	return &struct{ Body roundBody }{b}, nil
}
