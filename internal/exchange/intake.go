package exchange

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"time"

	"mellisca/core/shelf"
	"mellisca/internal/store"
)

// Intake is a file of one kind of record, ready to be taken in: the rows of tables, and the
// line of the file that each is of.
type Intake struct {
	Tables []store.WholeRows
	Lines  map[string][]int
	Notes  []string // what is left as it stands here
}

func newIntake(ctx context.Context, s *store.Store, tables ...string) (*Intake, error) {
	in := &Intake{Lines: map[string][]int{}}
	for _, name := range tables {
		for _, k := range store.WholeTables() {
			if k.Table != name {
				continue
			}
			columns, err := s.WholeColumns(ctx, k)
			if err != nil {
				return nil, err
			}
			in.Tables = append(in.Tables, store.WholeRows{Kept: k, Columns: columns})
		}
	}
	return in, nil
}

func (in *Intake) add(table string, line int, values map[string]any) {
	for i := range in.Tables {
		if t := &in.Tables[i]; t.Table == table {
			t.Rows = append(t.Rows, store.RowOf(t.Columns, values))
			in.Lines[table] = append(in.Lines[table], line)
		}
	}
}

// TakeJars makes jars of a CSV ready. A jar that is here already has its words changed to
// those of the file; how it stands is what was told of it here, and stays.
func TakeJars(ctx context.Context, s *store.Store, raw []byte) (*Intake, error) {
	all, lines, err := ReadJars(raw)
	if err != nil {
		return nil, err
	}
	in, err := newIntake(ctx, s, "shelf_place", "jar", "shelf_line")
	if err != nil {
		return nil, err
	}
	places, err := s.ShelfPlaces(ctx)
	if err != nil {
		return nil, err
	}
	ids := map[string]string{"": ""}
	for _, p := range places {
		ids[p.Name] = p.ID
	}
	seen := map[string]int{}
	left := 0
	for i, r := range all {
		if at, twice := seen[r.ID]; twice {
			return nil, fmt.Errorf("line %d, id: %s stands in line %d as well; accepted: each jar once", lines[i], r.ID, at)
		}
		seen[r.ID] = lines[i]
		if _, ok := ids[r.PlaceName]; !ok {
			ids[r.PlaceName] = fmt.Sprintf("place-%d-%s", len(ids), r.ID)
			in.add("shelf_place", lines[i], map[string]any{"id": ids[r.PlaceName], "name": r.PlaceName, "kind": "shelf", "sort": int64(len(ids))})
		}
		in.add("jar", lines[i], map[string]any{
			"id": r.ID, "load": r.Load, "number": int64(r.Number), "batch": r.Batch, "origin": r.Origin, "what": r.What, "strength": r.Strength, "product": r.Product, "kind": r.Kind, "form": r.Form,
			"jar": string(r.Jar.Jar), "canned_day": int64(r.Canned), "year_only": whole(r.YearOnly), "made_by": r.MadeBy, "process": string(r.Process), "source": r.Source, "use_first": whole(r.UseFirst),
			"note": r.Note, "allergens": r.Allergens,
		})
		here, _, err := s.Jar(ctx, r.ID)
		if err == nil {
			if here.State != r.State || here.Place != ids[r.PlaceName] || here.Since != r.Since {
				left++
			}
			continue
		}
		begun, err := json.Marshal(shelf.Line{Act: shelf.Begun, Day: r.Since, State: r.State, Place: ids[r.PlaceName], Until: r.Until, Looked: r.Looked, Who: r.Who})
		if err != nil {
			return nil, err
		}
		in.add("shelf_line", lines[i], map[string]any{"jar": r.ID, "seq": int64(1), "told_wall_ms": int64(r.Since) * 86_400_000, "data": string(begun)})
	}
	if left > 0 {
		in.Notes = append(in.Notes, fmt.Sprintf("%d of the jars stand otherwise here than in the file. Where a jar is goes by what was told of it here.", left))
	}
	return in, nil
}

// TakeLots makes lots of a CSV ready.
func TakeLots(ctx context.Context, s *store.Store, raw []byte) (*Intake, error) {
	all, lines, err := ReadLots(raw)
	if err != nil {
		return nil, err
	}
	in, err := newIntake(ctx, s, "lot", "lot_tap")
	if err != nil {
		return nil, err
	}
	seen := map[string]int{}
	for i, l := range all {
		if at, twice := seen[l.ID]; twice {
			return nil, fmt.Errorf("line %d, id: %s stands in line %d as well; accepted: each lot once", lines[i], l.ID, at)
		}
		seen[l.ID] = lines[i]
		values := map[string]any{"id": l.ID, "name": l.Name, "kind": l.Kind, "variety": l.Variety, "bought": l.Typed, "mass_mg": int64(l.Bought.Mass), "guess": whole(l.Bought.Guess),
			"price_cents": nil, "came_from": l.From, "got_day": int64(l.Got), "note": l.Note, "gone_at_ms": nil}
		if l.PriceCents >= 0 {
			values["price_cents"] = l.PriceCents
		}
		gone, err := s.LotGoneAt(ctx, l.ID)
		if err != nil {
			return nil, err
		}
		if gone != 0 {
			values["gone_at_ms"] = gone
		}
		in.add("lot", lines[i], values)
		for _, t := range l.Taps {
			in.add("lot_tap", lines[i], map[string]any{"lot": l.ID, "day": int64(t.Day), "ripeness": string(t.Ripeness)})
		}
	}
	return in, nil
}

// TakeBatches makes batches of a CSV ready.
func TakeBatches(ctx context.Context, s *store.Store, raw []byte) (*Intake, error) {
	all, lines, err := ReadBatches(raw)
	if err != nil {
		return nil, err
	}
	in, err := newIntake(ctx, s, "batch")
	if err != nil {
		return nil, err
	}
	seen := map[string]int{}
	for i, b := range all {
		if at, twice := seen[b.ID]; twice {
			return nil, fmt.Errorf("line %d, id: %s stands in line %d as well; accepted: each batch once", lines[i], b.ID, at)
		}
		seen[b.ID] = lines[i]
		r, l := b.Request, b.Request.Liquid
		in.add("batch", lines[i], map[string]any{
			"id": b.ID, "version": int64(b.Version), "note": b.Note, "product": r.Product, "kind": string(r.Kind), "form": string(r.Form), "pack": string(r.Pack), "jar": string(r.Jar), "method": string(r.Method),
			"thickener": string(r.Thickener), "altitude": r.Altitude, "amount": r.Amount, "liquid_kind": string(l.Kind), "liquid_strength": string(l.Strength), "liquid_brix": l.Brix, "liquid_water_parts": l.WaterParts,
			"liquid_sugar_parts": l.SugarParts, "liquid_sweetener": string(l.Sweetener), "acid": string(r.Acid), "fruit_state": string(r.Conditions.Fruit), "jar_state": string(r.Jars), "extras": int64(r.Extras),
			"source": r.Source, "blend": r.Blend.String(), "liquid_gallon_cups": l.GallonCups, "liquid_sugar": l.Sugar, "liquid_have": l.Have, "liquid_cores": whole(l.Cores), "dilute": r.Dilute, "canner": r.Canner,
			"lots": r.Lots, "sizes": r.Sizes, "tiers": int64(r.Tiers), "varieties": r.Varieties, "created_at_ms": ms(b.Created), "updated_at_ms": ms(b.Updated), "deleted_at_ms": nil,
		})
	}
	return in, nil
}

func whole(yes bool) int64 {
	if yes {
		return 1
	}
	return 0
}

func ms(t time.Time) int64 { return t.UnixMilli() }

// Where says a problem of a row that the file of the kitchen did not accept by its line.
func (in *Intake) Where(err error) error {
	var re *store.RowError
	if !errors.As(err, &re) {
		return err
	}
	if lines := in.Lines[re.Table]; re.Row >= 0 && re.Row < len(lines) {
		return fmt.Errorf("line %d: %s", lines[re.Row], re.Text)
	}
	return errors.New(re.Text)
}
