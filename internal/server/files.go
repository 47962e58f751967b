package server

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"io"
	"net/http"
	"os"
	"path/filepath"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/internal/exchange"
	"mellisca/internal/store"
)

// mostKitchenFile is the largest file of records that is read, in bytes.
const mostKitchenFile = 64 << 20

// mostBackup is the largest backup that is put back, in bytes.
const mostBackup = 1 << 30

type tookBody struct {
	What    string `json:"what" doc:"in words, such as jars"`
	New     int    `json:"new"`
	Changed int    `json:"changed"`
	Same    int    `json:"same"`
}

// takenBody is what a file did, or would do.
type takenBody struct {
	Done  bool       `json:"done" doc:"it was taken in; otherwise this is what would happen"`
	Text  string     `json:"text"`
	Took  []tookBody `json:"took" nullable:"false"`
	Notes []string   `json:"notes" nullable:"false"`
}

// tableWords are what rows of the tables are called; those that are not here go with
// others.
var tableWords = map[string]string{
	"jar": "jars", "lot": "lots of fruit", "batch": "saved batches", "closing": "closed batches", "canner_load": "loads", "stove_line": "things told at the stove", "jar_line": "seal checks", "shelf_line": "things told of jars",
	"shelf_place": "places", "want": "wants", "recall": "recalls", "own_source": "own sources", "pot": "pots", "burner": "burners", "kitchen": "the kitchen's settings", "label_sheet": "sheets of labels", "show_mark": "marks for the show",
	"lot_tap": "sightings of ripeness", "variety": "varieties", "container": "containers", "stock": "counts of jars", "price": "prices", "school": "ways of the kitchen", "place": "places with their altitude",
	"day_plan": "canning days", "day_batch": "batches on days", "day_line": "things told of days", "vow": "vows", "season": "seasons",
}

func (s *server) registerFiles(api huma.API) {
	get := func(id, path, summary, kind, name string, write func(ctx context.Context) ([]byte, error)) {
		huma.Register(api, huma.Operation{OperationID: id, Method: "GET", Path: path, Summary: summary}, func(ctx context.Context, _ *struct{}) (*fileOutput, error) {
			raw, err := write(ctx)
			if err != nil {
				return nil, s.storeProblem(err, "file")
			}
			return &fileOutput{kind, `attachment; filename="` + name + `"`, raw}, nil
		})
	}
	get("jars-csv", "/api/files/jars.csv", "Every jar there ever was, as CSV", "text/csv; charset=utf-8", "jars.csv", s.jarsCSV)
	get("lots-csv", "/api/files/lots.csv", "Every lot that ever came in, as CSV", "text/csv; charset=utf-8", "lots.csv", func(ctx context.Context) ([]byte, error) {
		all, err := s.store.EveryLot(ctx)
		if err != nil {
			return nil, err
		}
		return exchange.WriteLots(all)
	})
	get("batches-csv", "/api/files/batches.csv", "Every saved batch, as CSV", "text/csv; charset=utf-8", "batches.csv", func(ctx context.Context) ([]byte, error) {
		all, err := s.store.Batches(ctx, -1)
		if err != nil {
			return nil, err
		}
		slices.Reverse(all) // as they were saved
		return exchange.WriteBatches(all)
	})
	get("kitchen-json", "/api/files/kitchen.json", "Everything that the kitchen keeps, as JSON", "application/json", "kitchen.json", func(ctx context.Context) ([]byte, error) {
		var b bytes.Buffer
		err := exchange.WriteWhole(ctx, &b, s.store)
		return b.Bytes(), err
	})
	get("kitchen-schema", "/api/files/kitchen.schema.json", "The JSON Schema of that file", "application/schema+json", "kitchen.schema.json", func(ctx context.Context) ([]byte, error) {
		return exchange.WholeSchema(ctx, s.store)
	})
	get("calendar", "/api/files/calendar.ics", "What is to be done and when, as an iCalendar file", "text/calendar; charset=utf-8", "mellisca.ics", s.calendar)
	get("backup", "/api/files/backup.db", "A backup of everything, as one file", "application/vnd.sqlite3", "mellisca-backup.db", s.backup)
	huma.Register(api, huma.Operation{
		OperationID: "take-in", Method: "POST", Path: "/api/files/import", MaxBodyBytes: mostKitchenFile, Errors: []int{422}, BodyReadTimeout: -1,
		Summary: "Take a file in, or say what it would do; anything wrong refuses it whole",
	}, func(ctx context.Context, in *struct {
		Kind    string `query:"kind" enum:"jars,lots,batches,kitchen"`
		Only    bool   `query:"only" doc:"say what it would do, and do nothing"`
		RawBody []byte `contentType:"text/plain"`
	}) (*struct{ Body takenBody }, error) {
		b, err := s.takeIn(ctx, in.Kind, in.RawBody, in.Only)
		return &struct{ Body takenBody }{b}, err
	})
}

func (s *server) jarsCSV(ctx context.Context) ([]byte, error) {
	jars, _, err := s.store.FindJars(ctx, store.Find{Limit: 1 << 30})
	if err != nil {
		return nil, err
	}
	places, err := s.store.ShelfPlaces(ctx)
	if err != nil {
		return nil, err
	}
	names := placeNames(places)
	all := make([]exchange.JarRecord, len(jars))
	for i, j := range jars {
		all[i] = exchange.JarRecord{Jar: j, PlaceName: names[j.Place]}
	}
	return exchange.WriteJars(all)
}

// takeIn takes a file in, or only says what it would do.
func (s *server) takeIn(ctx context.Context, kind string, raw []byte, only bool) (takenBody, error) {
	b := takenBody{Took: []tookBody{}, Notes: []string{}}
	refuse := func(err error) error {
		return unprocessable([]error{field("body.file", "Nothing was taken in. "+upper(err.Error())+".", nil)})
	}
	var rows []store.WholeRows
	var where func(error) error
	if kind == "kitchen" {
		w, err := exchange.ReadWhole(ctx, raw, s.store)
		if err != nil {
			return b, refuse(err)
		}
		rows, where = w.Tables, w.Where
	} else {
		take := map[string]func(context.Context, *store.Store, []byte) (*exchange.Intake, error){"jars": exchange.TakeJars, "lots": exchange.TakeLots, "batches": exchange.TakeBatches}[kind]
		in, err := take(ctx, s.store, raw)
		if err != nil {
			return b, refuse(err)
		}
		rows, where = in.Tables, in.Where
		b.Notes = append(b.Notes, in.Notes...)
	}
	took, err := s.store.TakeIn(ctx, rows, only)
	if err != nil {
		if said := where(err); said != err {
			return b, refuse(said)
		}
		return b, s.storeProblem(err, "file")
	}
	added, changed, same := 0, 0, 0
	for _, t := range took {
		if words := tableWords[t.Table]; words != "" && t.New+t.Changed+t.Same > 0 {
			b.Took = append(b.Took, tookBody{words, t.New, t.Changed, t.Same})
		}
		added, changed, same = added+t.New, changed+t.Changed, same+t.Same
	}
	switch {
	case added+changed == 0 && same == 0:
		b.Text = "There is nothing in it."
	case added+changed == 0:
		b.Text = "Nothing new: all of it is here already."
	case only:
		b.Text = fmt.Sprintf("It would add %d and change %d; %d are here already as they are.", added, changed, same)
	default:
		b.Done = true
		b.Text = fmt.Sprintf("Taken in: %d new, %d changed; %d were here already as they are.", added, changed, same)
	}
	if only || added+changed == 0 {
		return b, nil
	}
	if err := s.stove.Reload(ctx); err != nil {
		return b, s.storeProblem(err, "stove")
	}
	return b, nil
}

// backup is a backup's bytes.
func (s *server) backup(ctx context.Context) ([]byte, error) {
	dir, err := os.MkdirTemp("", "mellisca-backup-")
	if err != nil {
		return nil, err
	}
	defer os.RemoveAll(dir)
	path := filepath.Join(dir, "backup.db")
	if err := s.store.Backup(ctx, path); err != nil {
		return nil, err
	}
	return os.ReadFile(path)
}

// restore puts a backup, sent as it is, in place of all that is kept. What was kept before
// stays beside the records.
func (s *server) restore(w http.ResponseWriter, r *http.Request) {
	from, err := os.CreateTemp(s.folder, "restore-*.db")
	if err == nil {
		defer os.Remove(from.Name())
		_, err = io.Copy(from, http.MaxBytesReader(w, r.Body, mostBackup))
		if cerr := from.Close(); err == nil {
			err = cerr
		}
	}
	if err != nil {
		s.log.Error("a backup did not arrive", "error", err)
		writeProblem(w, http.StatusServiceUnavailable, "The backup did not arrive whole, or there is no room for it. Nothing was changed.")
		return
	}
	if loads := s.stove.Now().Loads; len(loads) > 0 {
		writeProblem(w, http.StatusConflict, "A load is on the hob. Clear it first: what is told of it now would be lost.")
		return
	}
	keep := filepath.Join(s.folder, "before-restore-"+s.now().Format("20060102-150405")+".db")
	switch err := s.store.Restore(r.Context(), from.Name(), keep); {
	case errors.Is(err, store.ErrNotABackup):
		writeProblem(w, http.StatusUnprocessableEntity, "This is no sound file of a kitchen. Accepted: what mellisca backup wrote. Nothing was changed.")
		return
	case errors.Is(err, store.ErrNewer):
		writeProblem(w, http.StatusUnprocessableEntity, "This backup was written by a newer Mellisca. Put that one in first. Nothing was changed.")
		return
	case err != nil:
		s.log.Error("restoring failed", "error", err)
		text := faultWords[store.FaultOf(err)]
		writeProblem(w, http.StatusServiceUnavailable, strings.TrimSpace("The backup could not be put back: the file did not take it. "+text+" What there was is kept in "+keep+"."))
		return
	}
	if err := s.stove.Reload(r.Context()); err != nil {
		s.log.Error("taking up what was restored", "error", err)
	}
	w.Header().Set("Content-Type", "application/json")
	fmt.Fprintf(w, "{\"text\": %q}\n", "The backup is in place. What there was before is kept in "+keep+".")
}
