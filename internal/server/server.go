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
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"
	"github.com/go-chi/chi/v5"
	"github.com/go-chi/chi/v5/middleware"

	"mellisca/core/batch"
	"mellisca/core/canner"
	"mellisca/internal/store"
)

// Options is what a server needs. All fields are required.
type Options struct {
	Store  *store.Store
	Assets fs.FS // the built front end, with index.html at its root
	Now    func() time.Time
	Log    *slog.Logger
}

type server struct {
	store *store.Store
	now   func() time.Time
	log   *slog.Logger
	memo  *canner.Memo // places in the kitchen's pots

	learning  sync.Mutex // guards what was learned
	ways      map[batch.Way]batch.Seen
	heating   float64
	learnedAt int64 // the count of changes to closings that it holds for
}

// mostBody is the largest request body that is read, in bytes.
const mostBody = 64 << 10

// New puts the server together.
func New(o Options) http.Handler {
	s := &server{store: o.Store, now: o.Now, log: o.Log, memo: &canner.Memo{}}
	r := chi.NewRouter()
	r.Use(s.recoverer, ownHostOnly, secureHeaders, sameOriginOnly().Handler, limitBody)
	s.register(newAPI(r))
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
}

// OpenAPI is the description of the API as JSON, for generating clients.
func OpenAPI() ([]byte, error) {
	api := newAPI(chi.NewRouter())
	(&server{}).register(api)
	return api.OpenAPI().MarshalJSON()
}
