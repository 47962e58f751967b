package canner

// Loads splits a number of jars into canner loads of at most capacity: the
// fewest loads, then as even as they come, larger loads first. Without capacity
// or jars there are none.
func Loads(jars, capacity int) []int {
	if jars <= 0 || capacity <= 0 {
		return nil
	}
	n := (jars + capacity - 1) / capacity
	loads := make([]int, n)
	for i := range loads {
		loads[i] = jars / n
		if i < jars%n {
			loads[i]++
		}
	}
	return loads
}
