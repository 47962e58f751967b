package server

import (
	"context"
	"fmt"
	"image"
	"net"
	"net/url"
	"slices"
	"strings"

	"github.com/danielgtaylor/huma/v2"

	"mellisca/core/label"
	"mellisca/internal/store"
)

// SheetFields is a grid of labels as the cook measured it, in millimetres.
type SheetFields struct {
	Name    string  `json:"name" maxLength:"60"`
	PageW   float64 `json:"pageW"`
	PageH   float64 `json:"pageH"`
	Left    float64 `json:"left"`
	Top     float64 `json:"top"`
	W       float64 `json:"w" doc:"of a label; across, of a round one"`
	H       float64 `json:"h"`
	GapX    float64 `json:"gapX"`
	GapY    float64 `json:"gapY"`
	Columns int     `json:"columns"`
	Rows    int     `json:"rows"`
	Round   bool    `json:"round" doc:"rounds for lids"`
}

func (f SheetFields) sheet() label.Sheet {
	return label.Sheet{PageW: f.PageW, PageH: f.PageH, Left: f.Left, Top: f.Top, W: f.W, H: f.H, GapX: f.GapX, GapY: f.GapY, Columns: f.Columns, Rows: f.Rows, Round: f.Round}
}

type sheetBody struct {
	ID string `json:"id"`
	SheetFields
	Text string `json:"text" doc:"21 labels of 63 by 38 mm"`
	Own  bool   `json:"own" doc:"the cook's; otherwise a usual one to begin with"`
}

type labelsBody struct {
	Sheets  []sheetBody `json:"sheets" nullable:"false"`
	Address string      `json:"address" doc:"that the codes open"`
	Warning string      `json:"warning" doc:"that a telephone cannot open it; empty where it can"`
	Others  []string    `json:"others" nullable:"false" doc:"addresses of this machine that a telephone may reach"`
	Printed int         `json:"printed" doc:"on the label printer, which is simulated here"`
}

type labelsOutput struct{ Body labelsBody }

// usualSheets are there to begin with, measured in round figures; a cook types her own.
var usualSheets = []store.LabelSheet{
	{ID: "plain-a4", Name: "plain A4, to cut", Sheet: label.Sheet{PageW: 210, PageH: 297, Left: 10, Top: 12, W: 62, H: 38, GapX: 2, GapY: 1, Columns: 3, Rows: 7}},
	{ID: "plain-letter", Name: "plain letter paper, to cut", Sheet: label.Sheet{PageW: 215.9, PageH: 279.4, Left: 10, Top: 12, W: 64, H: 36, GapX: 2, GapY: 1, Columns: 3, Rows: 7}},
	{ID: "lids", Name: "rounds for lids, to cut", Sheet: label.Sheet{PageW: 210, PageH: 297, Left: 9, Top: 12, W: 62, H: 62, GapX: 3, GapY: 6, Columns: 3, Rows: 4, Round: true}},
	{ID: "box-ends", Name: "ends of boxes", Sheet: label.Sheet{PageW: 210, PageH: 297, Left: 12, Top: 12, W: 186, H: 132, GapY: 8, Columns: 1, Rows: 2}},
	{ID: "strip", Name: "the label printer's roll", Sheet: label.Sheet{PageW: 62, PageH: 40, W: 62, H: 40, Columns: 1, Rows: 1}},
}

// labelAddress is the setting of the address that codes open.
const labelAddress = "label-address"

func (s *server) registerLabels(api huma.API) {
	op := func(id, method, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: method, Path: path, Summary: summary, MaxBodyBytes: mostBody, Errors: []int{404, 409, 422}}
	}
	huma.Register(api, op("labels", "GET", "/api/labels", "The sheets of labels, and the address that their codes open"), func(ctx context.Context, in *HostInput) (*labelsOutput, error) {
		return s.labels(ctx, in.Host)
	})
	keep := func(ctx context.Context, id, host string, f SheetFields) (*labelsOutput, error) {
		var problems []error
		if f.Name = strings.TrimSpace(f.Name); f.Name == "" {
			problems = append(problems, field("body.name", "Accepted: what you call these labels.", f.Name))
		}
		for _, p := range f.sheet().Check() {
			problems = append(problems, field("body."+p.Field, p.Text, nil))
		}
		if len(problems) > 0 {
			return nil, unprocessable(problems)
		}
		if _, err := s.store.KeepLabelSheet(ctx, store.LabelSheet{ID: id, Name: f.Name, Sheet: f.sheet()}); err != nil {
			return nil, s.storeProblem(err, "sheet of labels")
		}
		return s.labels(ctx, host)
	}
	huma.Register(api, op("add-sheet", "POST", "/api/labels/sheets", "Add a grid of labels by its measures"), func(ctx context.Context, in *struct {
		HostInput
		Body SheetFields
	}) (*labelsOutput, error) {
		return keep(ctx, "", in.Host, in.Body)
	})
	huma.Register(api, op("change-sheet", "PUT", "/api/labels/sheets/{id}", "Change a grid of labels"), func(ctx context.Context, in *struct {
		PotID
		Body SheetFields
	}) (*labelsOutput, error) {
		return keep(ctx, in.ID, "", in.Body)
	})
	huma.Register(api, op("remove-sheet", "DELETE", "/api/labels/sheets/{id}", "Take a grid of labels away"), func(ctx context.Context, in *PotID) (*labelsOutput, error) {
		if err := s.store.RemoveLabelSheet(ctx, in.ID); err != nil {
			return nil, s.storeProblem(err, "sheet of labels")
		}
		return s.labels(ctx, "")
	})
	huma.Register(api, op("set-label-address", "PUT", "/api/labels/address", "Set the address that the codes open"), func(ctx context.Context, in *struct {
		HostInput
		Body struct {
			Address string `json:"address" maxLength:"200" doc:"http://192.168.1.20:8080; empty: that of the page"`
		}
	}) (*labelsOutput, error) {
		address := strings.TrimRight(strings.TrimSpace(in.Body.Address), "/")
		if address != "" {
			u, err := url.Parse(address)
			if err != nil || u.Scheme != "http" && u.Scheme != "https" || u.Host == "" || u.Path != "" || u.RawQuery != "" || u.User != nil {
				return nil, unprocessable([]error{field("body.address", "Accepted: the address of this kitchen in your own network, such as http://192.168.1.20:8080.", in.Body.Address)})
			}
		}
		if err := s.store.Set(ctx, labelAddress, address); err != nil {
			return nil, s.storeProblem(err, "address")
		}
		return s.labels(ctx, in.Host)
	})
	s.registerLabelFiles(api, op)
}

// HostInput is the name under which the kitchen was asked.
type HostInput struct {
	Host string `json:"-"`
}

// Resolve reads it from the request.
func (h *HostInput) Resolve(ctx huma.Context) []error {
	h.Host = ctx.Host()
	return nil
}

func (s *server) labels(ctx context.Context, host string) (*labelsOutput, error) {
	own, err := s.store.LabelSheets(ctx)
	if err != nil {
		return nil, s.storeProblem(err, "sheets of labels")
	}
	b := labelsBody{Sheets: []sheetBody{}, Others: []string{}}
	for i, l := range slices.Concat(own, usualSheets) {
		f := l.Sheet
		b.Sheets = append(b.Sheets, sheetBody{ID: l.ID, Own: i < len(own), Text: sheetText(f),
			SheetFields: SheetFields{l.Name, f.PageW, f.PageH, f.Left, f.Top, f.W, f.H, f.GapX, f.GapY, f.Columns, f.Rows, f.Round}})
	}
	if b.Address, err = s.labelAddress(ctx, host); err != nil {
		return nil, s.storeProblem(err, "address")
	}
	if u, err := url.Parse(b.Address); err == nil && loopback(u.Hostname()) {
		b.Warning = "Only this machine itself can open that address. So that a telephone can, start Mellisca with --listen 0.0.0.0:8080 and put this machine's address in your network here."
		b.Others = networkAddresses(u.Port())
	}
	if p, ok := s.printer.(interface {
		Printed() (int, []image.Image)
	}); ok {
		b.Printed, _ = p.Printed()
	}
	return &labelsOutput{b}, nil
}

func sheetText(f label.Sheet) string {
	if f.Round {
		return fmt.Sprintf("%d rounds of %g mm", f.PerPage(), f.W)
	}
	return fmt.Sprintf("%d of %g by %g mm", f.PerPage(), f.W, f.H)
}

func (s *server) labelAddress(ctx context.Context, host string) (string, error) {
	address, err := s.store.Setting(ctx, labelAddress)
	if address == "" && host != "" {
		address = "http://" + host
	}
	return address, err
}

func loopback(host string) bool {
	ip := net.ParseIP(host)
	return host == "localhost" || host == "" || ip != nil && ip.IsLoopback()
}

// networkAddresses are those under which other machines may reach this one.
func networkAddresses(port string) []string {
	all := []string{}
	found, err := net.InterfaceAddrs()
	if err != nil {
		return all
	}
	for _, a := range found {
		if n, ok := a.(*net.IPNet); ok && n.IP.To4() != nil && n.IP.IsPrivate() {
			all = append(all, "http://"+net.JoinHostPort(n.IP.String(), port))
		}
	}
	return all
}
