using System.Numerics;
using DeepCurrent.Core.Depth;

namespace DeepCurrent.Core.Library;

/// <summary>For each depth of text, to half a fathom, which of some readers it is instructional for.</summary>
internal sealed class FitTable
{
    private const int PerFathom = 2,
        Cells = (int)((Fathoms.Deepest - Fathoms.Shallowest) * PerFathom) + 1;
    private readonly int words;
    private readonly ulong[] readersAt;

    public FitTable(IReadOnlyList<Fathoms> readers, ZoneCuts cuts)
    {
        words = (readers.Count + 63) / 64;
        readersAt = new ulong[Cells * words];
        for (var cell = 0; cell < Cells; cell++)
        for (var r = 0; r < readers.Count; r++)
            if (
                Forecast.ZoneOf(
                    Forecast.Comprehension(readers[r], new(Fathoms.Shallowest + (double)cell / PerFathom)),
                    cuts
                ) == Zone.Instructional
            )
                readersAt[cell * words + r / 64] |= 1UL << r;
    }

    public static int CellOf(double depth) =>
        Math.Clamp((int)Math.Round((depth - Fathoms.Shallowest) * PerFathom), 0, Cells - 1);

    /// <summary>How many of the readers have a version of a card within their reach.</summary>
    public int Of(Codes codes, int card)
    {
        var sum = 0;
        for (var w = 0; w < words; w++)
        {
            ulong any = 0;
            for (var v = codes.First[card]; v < codes.First[card + 1]; v++)
                any |= readersAt[codes.Cell[v] * words + w];
            sum += BitOperations.PopCount(any);
        }
        return sum;
    }
}
