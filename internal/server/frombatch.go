package server

import (
	"context"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/batch"
	"mellisca/core/guide"
	"mellisca/internal/store"
)

// registerFromBatch offers the jars of a batch that was closed by hand, a size at a time,
// as they may be put on the shelf. Those that were run on the stove come from the tray.
func (s *server) registerFromBatch(api huma.API) {
	huma.Register(api, huma.Operation{
		OperationID: "jars-of-batch", Method: "GET", Path: "/api/shelf/from-batch/{id}", Summary: "The jars of a batch that was closed by hand, as they may be put on the shelf", Errors: []int{404, 409},
	}, func(ctx context.Context, in *BatchID) (*struct{ Body []JarFields }, error) {
		b, err := s.store.Batch(ctx, in.ID)
		if err != nil {
			return nil, s.storeProblem(err, "batch")
		}
		loads, err := store.Stove{Store: s.store}.LoadsOf(ctx, in.ID)
		if err != nil {
			return nil, s.storeProblem(err, "batch")
		}
		if len(loads) > 0 {
			return nil, huma.Error409Conflict("This batch was run on the stove: its jars come to the shelf from the tray, once their seals were looked at.")
		}
		all, err := s.store.Closings(ctx, 0, store.EveryClosing)
		if err != nil {
			return nil, s.storeProblem(err, "batch")
		}
		i := slices.IndexFunc(all, func(c store.Closing) bool { return c.Batch == in.ID })
		if i < 0 {
			return nil, huma.Error409Conflict("This batch is not closed yet. Say first what it gave.")
		}
		there, err := s.store.JarsOfBatch(ctx, in.ID)
		if err != nil {
			return nil, s.storeProblem(err, "batch")
		}
		k, _, err := s.kitchenNow(ctx)
		if err != nil {
			return nil, err
		}
		return &struct{ Body []JarFields }{offeredJars(b, all[i], there, k)}, nil
	})
}

// offeredJars is what of a closed batch is not on the shelf yet, a size a time. How it was
// processed is the cook's own word: nothing was run here.
func offeredJars(b store.Batch, c store.Closing, there []store.Jar, k batch.Kitchen) []JarFields {
	left := []JarFields{}
	for _, f := range c.Filled {
		n := f.Count
		for _, j := range there {
			if j.Jar == f.Jar.ID {
				n--
			}
		}
		if n <= 0 {
			continue
		}
		one := JarFields{Count: n, Product: b.Request.Product, Form: string(b.Request.Form), Jar: string(f.Jar.ID), Canned: dateOf(c.Day).Format(time.DateOnly), Origin: "batch", Process: "told", Batch: b.ID}
		words := []string{guide.PackName(b.Request.Pack) + " pack"}
		if name := batch.LiquidName(b.Request.Liquid); name != "" {
			words = append(words, "in "+name)
		}
		one.Strength = strings.Join(words, ", ")
		if src, ok := k.Sources[b.Request.Source]; ok && b.Request.Source != "" {
			one.Process, one.Source, one.What, one.Product = "own", src.Cite(), src.Name, string(src.Product)
			one.Form = ""
		} else if info, ok := guide.FindProduct(guide.Product(b.Request.Product)); !ok || info.Group == guide.Known {
			one.Process = "unknown"
			if !ok {
				one.Product, one.What = "", b.Request.Product
			}
		}
		left = append(left, one)
	}
	return left
}
