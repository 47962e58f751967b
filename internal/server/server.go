// Package server is the kitchen's HTTP face: the JSON API under /api and the
// built front end everywhere else. Handlers decode, ask core or store, and
// encode; nothing of the job is decided here.
//
//	h := server.New(server.Options{Store: st, Assets: dist, Now: time.Now, Log: slog.Default()})
//	http.ListenAndServe("127.0.0.1:8080", h)
//
// What a cook gets wrong is answered with an RFC 9457 problem that names each
// field, what was given and what is accepted.
package server

import (
	"io/fs"
	"log/slog"
	"net/http"
	"os"
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"
	"github.com/go-chi/chi/v5"
	"github.com/go-chi/chi/v5/middleware"

	"mellisca/core/batch"
	"mellisca/core/canner"
	"mellisca/internal/device"
	"mellisca/internal/live"
	"mellisca/internal/store"
)

// Options is what a server needs.
type Options struct {
	Store   *store.Store
	Assets  fs.FS // the built front end, with index.html at its root
	Now     func() time.Time
	Log     *slog.Logger
	Stove   *live.Stove         // what is on the hob
	Clock   device.Clock        // by which practice and devices go
	Ending  <-chan struct{}     // closed when the server ends, so that live pages let go; may be nil
	Beat    time.Duration       // between what open pages are told of the hob; 0: a second
	Printer device.LabelPrinter // of labels; nil: one that keeps what it would print
	Folder  string              // of the records, where what was kept before a restore stays; empty: one for passing files
}

type server struct {
	store *store.Store
	now   func() time.Time
	log   *slog.Logger
	memo  *canner.Memo // places in the kitchen's pots

	stove    *live.Stove
	clock    device.Clock
	practice practising
	scales   scales
	shared   sharedMoment
	ending   <-chan struct{}
	beat     time.Duration

	compared comparing // of days that run

	printer device.LabelPrinter
	folder  string

	learning  sync.Mutex // guards what was learned
	ways      map[batch.Way]batch.Seen
	heating   float64
	learnedAt int64 // the count of changes to closings that it holds for
}

// mostBody is the largest request body that is read, in bytes.
const mostBody = 64 << 10

// New puts the server together.
func New(o Options) http.Handler {
	s := &server{store: o.Store, now: o.Now, log: o.Log, memo: &canner.Memo{}, stove: o.Stove, clock: o.Clock, ending: o.Ending, beat: o.Beat, folder: o.Folder}
	if s.printer = o.Printer; s.printer == nil {
		s.printer = &device.PaperlessPrinter{}
	}
	if s.folder == "" {
		s.folder = os.TempDir()
	}
	if s.beat == 0 {
		s.beat = beat
	}
	r := chi.NewRouter()
	r.Use(s.recoverer, ownHostOnly, secureHeaders, sameOriginOnly().Handler, limitBody)
	s.register(newAPI(r))
	r.Get("/api/stove/events", s.events(hob{"/api/stove", func() *live.Stove { return s.stove }, func() *live.Practice { return nil }}))
	r.Get("/api/practice/events", s.events(hob{"/api/practice", s.practiceStove, s.practiceNow}))
	r.Post("/api/files/restore", s.restore)
	r.NotFound(notFound)
	r.MethodNotAllowed(methodNotAllowed)
	r.With(middleware.Compress(5)).Get("/*", assets(o.Assets))
	return r
}

func newAPI(r chi.Router) huma.API {
	c := huma.DefaultConfig("Mellisca", "1")
	c.Info.Description = "Plans batches of home-canned fruit: jars, liquid, and a tested process time or a refusal with its reasons."
	c.OpenAPIPath = "/api/openapi"
	c.DocsPath, c.SchemasPath = "", ""
	c.CreateHooks = nil // no $schema links in answers
	return humachi.New(r, c)
}

func (s *server) register(api huma.API) {
	registerProcessTime(api)
	registerSyrup(api)
	registerCatalogue(api)
	s.registerPlan(api)
	s.registerBatches(api)
	s.registerKitchen(api)
	s.registerTables(api)
	s.registerSources(api)
	s.registerLiquids(api)
	s.registerSchools(api)
	s.registerAltitude(api)
	s.registerPots(api)
	s.registerFruit(api)
	s.registerClosings(api)
	s.registerStock(api)
	s.registerReady(api)
	s.registerStove(api)
	s.registerTray(api)
	s.registerShelf(api)
	s.registerTrace(api)
	s.registerWants(api)
	s.registerBench(api)
	s.registerLabels(api)
	s.registerPaper(api)
	s.registerFiles(api)
	s.registerFromBatch(api)
	s.registerDay(api)
	s.registerVows(api)
	s.registerAlmanac(api)
	s.registerSeason(api)
}

// OpenAPI is the description of the API as JSON, for generating clients.
func OpenAPI() ([]byte, error) {
	api := newAPI(chi.NewRouter())
	(&server{}).register(api)
	return api.OpenAPI().MarshalJSON()
}
