using System.Numerics;
using DeepCurrent.Voice;
using MathNet.Numerics.IntegralTransforms;

namespace Web.Tests;

/// <summary>Finds in one saying the times of another by how they sound, and by nothing that the voice says of
/// itself.</summary>
/// <remarks>Dynamic time warping over log band energies: Sakoe and Chiba (1978), Dynamic programming algorithm
/// optimization for spoken word recognition.</remarks>
internal sealed class SoundAligner
{
    private const int Bands = 16;
    private const double Hop = 0.005,
        Window = 0.02;
    private readonly int[] other;

    /// <summary>Aligns what was said at one speed with the same words at another.</summary>
    public SoundAligner(Saying one, Saying another)
    {
        var (a, b) = (Frames(one), Frames(another));
        var cost = new double[a.Count + 1, b.Count + 1];
        for (var i = 0; i <= a.Count; i++)
        for (var j = 0; j <= b.Count; j++)
            cost[i, j] = i == 0 && j == 0 ? 0 : double.PositiveInfinity;
        for (var i = 1; i <= a.Count; i++)
        for (var j = 1; j <= b.Count; j++)
            cost[i, j] =
                Apart(a[i - 1], b[j - 1]) + Math.Min(cost[i - 1, j - 1], Math.Min(cost[i - 1, j], cost[i, j - 1]));
        other = new int[a.Count];
        for (var (i, j) = (a.Count, b.Count); i > 0 && j > 0; )
        {
            other[i - 1] = j - 1;
            var (both, up, left) = (cost[i - 1, j - 1], cost[i - 1, j], cost[i, j - 1]);
            if (both <= up && both <= left)
                (i, j) = (i - 1, j - 1);
            else if (up <= left)
                i--;
            else
                j--;
        }
    }

    /// <summary>When the sound of a time is heard in the other saying, in seconds.</summary>
    public double At(double seconds) => other[Math.Clamp((int)(seconds / Hop), 0, other.Length - 1)] * Hop;

    private static double Apart(double[] a, double[] b) => a.Zip(b, (x, y) => Math.Abs(x - y)).Sum();

    /// <summary>Loudness in bands from 100 Hz to 8 kHz, closer together where they are low.</summary>
    private static List<double[]> Frames(Saying said)
    {
        var (hop, window) = ((int)(Hop * said.Rate), (int)(Window * said.Rate));
        var frames = new List<double[]>();
        for (var from = 0; from + window <= said.Samples.Length; from += hop)
        {
            var wave = new Complex[window];
            for (var k = 0; k < window; k++)
                wave[k] = said.Samples[from + k] / 32768.0 * (0.5 - 0.5 * Math.Cos(2 * Math.PI * k / window));
            Fourier.Forward(wave, FourierOptions.Matlab);
            var bands = new double[Bands];
            for (var k = 1; k < window / 2; k++)
            {
                var band = (int)(Bands * Math.Log(k * said.Rate / (double)window / 100) / Math.Log(80));
                if (band is >= 0 and < Bands)
                    bands[band] += MagnitudeSquared(wave[k]);
            }

            frames.Add([.. bands.Select(x => Math.Log(x + 1e-4))]);
        }

        return frames;
    }

    private static double MagnitudeSquared(Complex c) => c.Real * c.Real + c.Imaginary * c.Imaginary;
}
