using System.Diagnostics;
using System.Globalization;
using System.Runtime.InteropServices;

namespace DeepCurrent.Voice;

/// <summary>Packs sound so that it is small enough for a slow network.</summary>
internal static class Packing
{
    /// <param name="samples">One channel.</param>
    /// <param name="rate">Samples a second.</param>
    public static async Task<byte[]> Mp3(short[] samples, int rate, CancellationToken stop)
    {
        var kilohertz = (rate / 1000.0).ToString("0.###", CultureInfo.InvariantCulture);
        using var lame = Process.Start(
            new ProcessStartInfo(
                "lame",
                $"-r -s {kilohertz} --bitwidth 16 --signed --little-endian -m m -b 40 --quiet - -"
            )
            {
                RedirectStandardInput = true,
                RedirectStandardOutput = true,
                UseShellExecute = false,
            }
        )!;
        using var packed = new MemoryStream();
        var reading = lame.StandardOutput.BaseStream.CopyToAsync(packed, stop);
        await lame.StandardInput.BaseStream.WriteAsync(MemoryMarshal.AsBytes<short>(samples).ToArray(), stop);
        lame.StandardInput.Close();
        await reading;
        await lame.WaitForExitAsync(stop);
        return lame.ExitCode == 0
            ? packed.ToArray()
            : throw new InvalidOperationException($"lame ended with {lame.ExitCode}.");
    }
}
