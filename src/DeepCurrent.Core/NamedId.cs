using System.Security.Cryptography;
using System.Text;

namespace DeepCurrent.Core;

/// <summary>Ids and seeds that follow from a name, so that what is made twice from the same names is the same.</summary>
public static class NamedId
{
    /// <summary>The namespace of what ships: texts, their versions and questions, the demo's people.</summary>
    public static readonly Guid Shipped = new("2f0c6b52-4f0e-8d0a-9a55-6c1d3f7e8b11");

    private const int Bytes = 16;

    /// <summary>The id of a name within a namespace.</summary>
    /// <param name="within">The namespace, so that equal names of different kinds of things differ.</param>
    /// <param name="name">Any text, taken as UTF-8.</param>
    /// <returns>A UUID of version 8.</returns>
    /// <remarks>RFC 9562 (2024), section 5.8 and appendix B.2, name-based with SHA-256.</remarks>
    public static Guid Of(Guid within, string name)
    {
        Span<byte> id = stackalloc byte[SHA256.HashSizeInBytes];
        SHA256.HashData([.. within.ToByteArray(bigEndian: true), .. Encoding.UTF8.GetBytes(name)], id);
        id[6] = (byte)((id[6] & 0x0F) | 0x80);
        id[8] = (byte)((id[8] & 0x3F) | 0x80);
        return new(id[..Bytes], bigEndian: true);
    }

    /// <summary>A seed for dice that fall the same way for the same name.</summary>
    public static int Seed(Guid within, string name) => BitConverter.ToInt32(Of(within, name).ToByteArray());
}
