package server

import (
	"context"
	"errors"
	"fmt"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/fruit"
	"mellisca/core/guide"
	"mellisca/core/jar"
	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// PlaceFieldsOfShelf is a place where jars stand.
type PlaceFieldsOfShelf struct {
	Name string `json:"name" maxLength:"60"`
	Kind string `json:"kind" enum:"shelf,box,loft"`
}

// ToldFields is what is told of a jar.
type ToldFields struct {
	Act   string `json:"act" enum:"opened,eaten,given,moved,looked,discarded,broken,warned,undone"`
	Place string `json:"place,omitempty" required:"false" maxLength:"40" doc:"of moved"`
	Who   string `json:"who,omitempty" required:"false" maxLength:"80" doc:"of given"`
	Why   string `json:"why,omitempty" required:"false" maxLength:"300" doc:"of discarded and broken: a sign of /api/shelf, or words"`
	Last  int    `json:"last,omitempty" required:"false" doc:"of undone: the line to take back, as the jar says it"`
}

type actBody struct {
	Act  string `json:"act"`
	Text string `json:"text"`
}

// ShelfJarBody is a jar in a list.
type ShelfJarBody struct {
	ID       string    `json:"id"`
	What     string    `json:"what"`
	Strength string    `json:"strength" doc:"pack and liquid"`
	Product  string    `json:"product"`
	Kind     string    `json:"kind"`
	Jar      string    `json:"jar"`
	Size     string    `json:"size" doc:"quart jar"`
	Canned   string    `json:"canned" doc:"in words"`
	BestBy   string    `json:"bestBy" doc:"month and year; quality, not safety"`
	Age      string    `json:"age" enum:"best,past,old"`
	Process  string    `json:"process" enum:"tested,told,own,unknown"`
	Mark     string    `json:"mark" doc:"what is to be known of its process; empty where it was tested"`
	MadeBy   string    `json:"madeBy"`
	UseFirst bool      `json:"useFirst"`
	Note     string    `json:"note"`
	Number   int       `json:"number" doc:"within its load; 0: it was not run here"`
	State    string    `json:"state" enum:"shelf,refrigerator,freezer,open,eaten,given,broken,discarded,pulled"`
	Text     string    `json:"text" doc:"how it stands, in words"`
	Urgent   string    `json:"urgent" enum:"stop,wait,go" doc:"stop: it is not to be eaten, or its days are over; wait: soon"`
	Place    string    `json:"place"`
	Can      []actBody `json:"can" nullable:"false" doc:"what may be done with it, the usual first"`
	Undo     int       `json:"undo" doc:"the line that can be taken back; 0: none"`
}

type jarGroupBody struct {
	What     string  `json:"what"`
	Strength string  `json:"strength"`
	Product  string  `json:"product"`
	Kind     string  `json:"kind"`
	Jar      string  `json:"jar"`
	Size     string  `json:"size" doc:"quarts"`
	Mark     string  `json:"mark" doc:"what is to be known of their process; empty where it was tested"`
	Count    int     `json:"count"`
	Text     string  `json:"text" doc:"how many, in words"`
	UseFirst int     `json:"useFirst"`
	Past     int     `json:"past" doc:"past their best"`
	Oldest   string  `json:"oldest" doc:"when the oldest was canned"`
	Next     string  `json:"next" doc:"the id of the jar to take first"`
	WideCm   float64 `json:"wideCm" doc:"of the jar, for its drawing"`
	HighCm   float64 `json:"highCm"`
}

type placeOnShelf struct {
	ID     string         `json:"id" doc:"empty: no place was said"`
	Name   string         `json:"name"`
	Kind   string         `json:"kind" enum:"shelf,box,loft"`
	Count  int            `json:"count"`
	Groups []jarGroupBody `json:"groups" nullable:"false"`
}

type shelfBody struct {
	Places  []placeOnShelf `json:"places" nullable:"false"`
	Apart   []ShelfJarBody `json:"apart" nullable:"false" doc:"open, in the refrigerator, frozen or called back, the most pressing first"`
	Count   int            `json:"count" doc:"on shelves"`
	Text    string         `json:"text" doc:"how many there are, and of what kind of process"`
	Due     int            `json:"due" doc:"to be looked over"`
	DueText string         `json:"dueText" doc:"empty where none is"`
	Recalls int            `json:"recalls" doc:"under way"`
}

type shelfOutput struct{ Body shelfBody }

func (s *server) registerShelf(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 409, 422}}
	}
	huma.Register(api, op("shelf", "GET", "/api/shelf", "All jars in the house, by where they stand, like ones together"), func(ctx context.Context, _ *struct{}) (*shelfOutput, error) {
		return s.shelf(ctx)
	})
	keep := func(ctx context.Context, id string, f PlaceFieldsOfShelf) (*shelfOutput, error) {
		if f.Name = strings.TrimSpace(f.Name); f.Name == "" {
			return nil, unprocessable([]error{field("body.name", "Accepted: what you call the place, such as cellar, top board.", f.Name)})
		}
		places, err := s.store.ShelfPlaces(ctx)
		if err != nil {
			return nil, s.storeProblem(err, "place")
		}
		if slices.ContainsFunc(places, func(p store.ShelfPlace) bool { return strings.EqualFold(p.Name, f.Name) && p.ID != id }) {
			return nil, unprocessable([]error{field("body.name", "There is a place of that name already. Accepted: another name.", f.Name)})
		}
		if err := s.store.KeepShelfPlace(ctx, store.ShelfPlace{ID: id, Name: f.Name, Kind: f.Kind}); err != nil {
			return nil, s.storeProblem(err, "place")
		}
		return s.shelf(ctx)
	}
	huma.Register(api, op("add-shelf-place", "POST", "/api/shelf/places", "Add a place where jars stand"), func(ctx context.Context, in *struct{ Body PlaceFieldsOfShelf }) (*shelfOutput, error) {
		return keep(ctx, "", in.Body)
	})
	huma.Register(api, op("change-shelf-place", "PUT", "/api/shelf/places/{id}", "Change a place"), func(ctx context.Context, in *struct {
		PotID
		Body PlaceFieldsOfShelf
	}) (*shelfOutput, error) {
		return keep(ctx, in.ID, in.Body)
	})
	huma.Register(api, op("remove-shelf-place", "DELETE", "/api/shelf/places/{id}", "Take an empty place away"), func(ctx context.Context, in *PotID) (*shelfOutput, error) {
		err := s.store.RemoveShelfPlace(ctx, in.ID)
		if errors.Is(err, store.ErrPlaceFull) {
			return nil, huma.Error409Conflict("Jars stand there. Move them first.")
		}
		if err != nil {
			return nil, s.storeProblem(err, "place")
		}
		return s.shelf(ctx)
	})
	huma.Register(api, op("tell-of-jar", "POST", "/api/shelf/jars/{id}/tell", "Say what was done with a jar"), func(ctx context.Context, in *struct {
		PotID
		Body ToldFields
	}) (*jarOutput, error) {
		return s.tellOfJar(ctx, in.ID, in.Body)
	})
	s.registerJars(api, op)
}

func (s *server) today() fruit.Day { return dayOf(s.now()) }

func (s *server) tellOfJar(ctx context.Context, id string, f ToldFields) (*jarOutput, error) {
	if f.Act == string(shelf.Moved) {
		var err error
		if f.Place, err = s.placeFor(ctx, f.Place); err != nil {
			return nil, err
		}
	}
	why := strings.TrimSpace(f.Why)
	if text, ok := shelf.SignText(why); ok {
		why = text + "."
	}
	j, err := s.store.TellJar(ctx, id, s.now(), func(j store.Jar) (shelf.Line, error) {
		l := shelf.Line{Act: shelf.Act(f.Act), Day: max(s.today(), j.Since), Place: f.Place, Who: strings.TrimSpace(f.Who), Why: why, Undoes: f.Last}
		if err := j.May(l); err != nil {
			where := map[shelf.Act]string{shelf.Gave: "body.who", shelf.ThrewAway: "body.why"}[l.Act]
			if where == "" || !j.State.Here() || (l.Act == shelf.Gave && l.Who != "") {
				return l, huma.Error409Conflict("This jar of " + j.What + ": " + err.Error() + ".")
			}
			return l, unprocessable([]error{field(where, upper(err.Error())+".", nil)})
		}
		return l, nil
	})
	var told huma.StatusError
	if errors.As(err, &told) {
		return nil, told
	}
	if err != nil {
		return nil, s.storeProblem(err, "jar")
	}
	return s.jarAnswer(ctx, j.ID)
}

func (s *server) shelf(ctx context.Context) (*shelfOutput, error) {
	today := s.today()
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "shelf")
	}
	groups, err := s.store.JarGroups(ctx, today)
	if err != nil {
		return nil, s.storeProblem(err, "shelf")
	}
	apart, err := s.store.JarsApart(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "shelf")
	}
	b := shelfBody{Places: []placeOnShelf{}, Apart: []ShelfJarBody{}}
	if b.Due, err = s.store.CountDue(ctx, today); err != nil {
		return nil, s.storeProblem(err, "shelf")
	}
	recalls, err := s.store.Recalls(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "shelf")
	}
	for _, r := range recalls {
		if !r.Undone {
			b.Recalls++
		}
	}
	for _, p := range places {
		b.Places = append(b.Places, placeOnShelf{ID: p.ID, Name: p.Name, Kind: p.Kind, Groups: []jarGroupBody{}})
	}
	var counts [2]int // tested, and not
	for _, g := range groups {
		at := slices.IndexFunc(b.Places, func(p placeOnShelf) bool { return p.ID == g.Place })
		if at < 0 {
			if at = slices.IndexFunc(b.Places, func(p placeOnShelf) bool { return p.ID == "" }); at < 0 {
				at = len(b.Places)
				b.Places = append(b.Places, placeOnShelf{Name: "No place said", Kind: "shelf", Groups: []jarGroupBody{}})
			}
		}
		p := &b.Places[at]
		p.Groups = append(p.Groups, groupBody(g))
		p.Count += g.Count
		b.Count += g.Count
		if g.Process.Counts() {
			counts[0] += g.Count
		} else {
			counts[1] += g.Count
		}
	}
	b.Text = countText(b.Count, "jar") + " on the shelf"
	if counts[1] > 0 {
		b.Text += fmt.Sprintf(": %d by tested times, %d not", counts[0], counts[1])
	}
	if b.Due > 0 {
		b.DueText = countText(b.Due, "jar") + " to look over"
	}
	names := placeNames(places)
	for _, j := range apart {
		b.Apart = append(b.Apart, shelfJar(j, today, names))
	}
	press := map[string]int{"stop": 0, "wait": 1, "go": 2}
	slices.SortStableFunc(b.Apart, func(x, y ShelfJarBody) int { return press[x.Urgent] - press[y.Urgent] })
	return &shelfOutput{b}, nil
}

func placeNames(places []store.ShelfPlace) map[string]string {
	names := map[string]string{}
	for _, p := range places {
		names[p.ID] = p.Name
	}
	return names
}

func groupBody(g store.JarGroup) jarGroupBody {
	j, _ := jar.Find(g.Jar)
	b := jarGroupBody{What: g.What, Strength: g.Strength, Product: g.Product, Kind: g.Kind, Jar: string(g.Jar), Size: j.Many, Mark: markText(g.Process),
		Count: g.Count, Text: j.Count(g.Count), UseFirst: g.UseFirst, Past: g.Past, Oldest: dateOf(g.Oldest).Format("January 2006"), Next: g.Next, WideCm: j.Diameter.Centimetres(), HighCm: j.Height.Centimetres()}
	return b
}

func markText(p shelf.Process) string {
	switch p {
	case shelf.OwnBook:
		return "by an own source"
	case shelf.Unknown:
		return "process not known"
	}
	return ""
}

func countText(n int, one string) string {
	if n == 1 {
		return "1 " + one
	}
	return fmt.Sprintf("%d %ss", n, one)
}

var actWords = map[shelf.Act]string{
	shelf.Took: "Take and open", shelf.Finished: "Eaten up", shelf.Gave: "Give away", shelf.Moved: "Move", shelf.Looked: "Looked over, sound",
	shelf.ThrewAway: "Throw away", shelf.Broke: "Broken", shelf.Warned: "They know",
}

// cannedText is when a jar was canned.
func cannedText(j store.Jar) string {
	if j.YearOnly {
		return dateOf(j.Canned).Format("2006")
	}
	return dateOf(j.Canned).Format("2 January 2006")
}

func shelfJar(j store.Jar, today fruit.Day, places map[string]string) ShelfJarBody {
	of, _ := jar.Find(j.Jar)
	b := ShelfJarBody{
		ID: j.ID, What: j.What, Strength: j.Strength, Product: j.Product, Kind: j.Kind, Jar: string(j.Jar), Size: of.One, Canned: cannedText(j),
		BestBy: dateOf(j.Canned + shelf.BestDays).Format("January 2006"), Age: string(shelf.AgeOf(j.Canned, today)), Process: string(j.Process), Mark: markText(j.Process), MadeBy: j.MadeBy,
		UseFirst: j.UseFirst, Note: j.Note, Number: j.Number, State: string(j.State), Place: places[j.Place], Can: []actBody{}, Undo: j.Last, Urgent: "go",
	}
	for _, a := range j.Can() {
		b.Can = append(b.Can, actBody{string(a), actWords[a]})
	}
	b.Text, b.Urgent = lifeText(j, today, places)
	return b
}

// lifeText says how a jar stands, and how pressing that is.
func lifeText(j store.Jar, today fruit.Day, places map[string]string) (text, urgent string) {
	since := "since " + dayWords(j.Since, today)
	until := func(text string) (string, string) {
		switch left := j.Until - today; {
		case left < 0:
			return text + ", to be eaten by " + dayWords(j.Until, today) + ": throw away what is left", "stop"
		case left <= 1:
			return text + ", eat it by " + dayWords(j.Until, today), "wait"
		}
		return text + ", until " + dayWords(j.Until, today), "go"
	}
	switch j.State {
	case shelf.Standing:
		if p := places[j.Place]; p != "" {
			return "Stands in " + p, "go"
		}
		return "On the shelf", "go"
	case shelf.Cold:
		return until("In the refrigerator " + since)
	case shelf.Opened:
		return until("Open in the refrigerator " + since)
	case shelf.Frozen:
		return "In the freezer " + since, "go"
	case shelf.Pulled:
		return "Called back " + since + ": do not taste it, throw it away", "stop"
	case shelf.Given:
		text = "Given to " + j.Who + " " + dayWords(j.Since, today)
		if j.Recall != "" {
			return text + ", and called back", "stop"
		}
		return text, "go"
	case shelf.Eaten:
		return "Eaten " + dayWords(j.Since, today), "go"
	case shelf.Smashed:
		return "Broken " + dayWords(j.Since, today), "go"
	}
	return "Thrown away " + dayWords(j.Since, today), "go"
}

// dayWords is a day in a sentence.
func dayWords(d, today fruit.Day) string {
	switch today - d {
	case 0:
		return "today"
	case 1:
		return "yesterday"
	case -1:
		return "tomorrow"
	}
	if diff := today - d; diff > -7 && diff < 7 {
		return dateOf(d).Format("Monday, 2 January")
	}
	return dateOf(d).Format("2 January 2006")
}

// productName is what a product of the catalogue is called; otherwise as it was given.
func productName(id string) string {
	if info, ok := guide.FindProduct(guide.Product(id)); ok {
		return info.Name
	}
	return id
}
