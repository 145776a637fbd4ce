namespace DeepCurrent.Core.Grouping;

/// <summary>Gives each of some rows a column of its own so that the sum of what they cost is least.</summary>
/// <remarks>The Hungarian method by shortest augmenting paths: Kuhn, H. W. (1955), The Hungarian method for the
/// assignment problem; Jonker, R. and Volgenant, A. (1987), A shortest augmenting path algorithm for dense and sparse
/// linear assignment problems.</remarks>
internal sealed class LeastMatching
{
    // Those at 0 stand for none.
    private readonly double[] ofRow;
    private readonly double[] ofColumn;
    private readonly int[] rowAt;
    private readonly int[] before;
    private readonly double[] least;
    private readonly bool[] seen;

    /// <param name="columns">At least as many as rows.</param>
    public LeastMatching(int rows, int columns)
    {
        (ofRow, ofColumn) = (new double[rows + 1], new double[columns + 1]);
        (rowAt, before) = (new int[columns + 1], new int[columns + 1]);
        (least, seen) = (new double[columns + 1], new bool[columns + 1]);
    }

    /// <summary>A row's part and a column's of the least sum: together never above what they cost, and as much where
    /// they are matched.</summary>
    public double Part(int row, int column) => ofRow[row + 1] + ofColumn[column + 1];

    /// <summary>A column's part: 0 where no row has it, never above 0.</summary>
    public double PartOf(int column) => ofColumn[column + 1];

    /// <summary>The column of each row, in the order of columns.</summary>
    /// <param name="costs">Columns × rows; infinite where a row cannot have a column.</param>
    /// <exception cref="ArgumentException">Rows cannot all have a column.</exception>
    public IReadOnlyList<(int Column, int Row)> Find(double[,] costs)
    {
        Array.Clear(ofRow);
        Array.Clear(ofColumn);
        Array.Clear(rowAt);
        for (var row = 1; row < ofRow.Length; row++)
            Place(row, costs);
        return [.. Enumerable.Range(1, rowAt.Length - 1).Where(j => rowAt[j] > 0).Select(j => (j - 1, rowAt[j] - 1))];
    }

    /// <summary>Finds a column for one more row; others may get another for it.</summary>
    private void Place(int row, double[,] costs)
    {
        rowAt[0] = row;
        Array.Fill(least, double.PositiveInfinity);
        Array.Clear(seen);
        var j = 0;
        do
        {
            seen[j] = true;
            j = Next(j, costs);
        } while (rowAt[j] != 0);
        for (; j != 0; j = before[j])
            rowAt[j] = rowAt[before[j]];
    }

    private int Next(int from, double[,] costs)
    {
        var (row, next, step) = (rowAt[from], -1, double.PositiveInfinity);
        for (var j = 1; j < rowAt.Length; j++)
        {
            if (seen[j])
                continue;
            var over = costs[j - 1, row - 1] - ofRow[row] - ofColumn[j];
            if (over < least[j])
                (least[j], before[j]) = (over, from);
            if (least[j] < step)
                (step, next) = (least[j], j);
        }
        if (next < 0)
            throw new ArgumentException("There is not a column for each row.", nameof(costs));
        for (var j = 0; j < rowAt.Length; j++)
            if (seen[j])
            {
                ofRow[rowAt[j]] += step;
                ofColumn[j] -= step;
            }
            else
                least[j] -= step;
        return next;
    }
}
