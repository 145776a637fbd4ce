using System.Xml.Linq;
using DeepCurrent.Data.Storage;
using Microsoft.AspNetCore.DataProtection.Repositories;

namespace DeepCurrent.Web.Hosting;

/// <summary>Keeps the framework's data-protection keys in the database.</summary>
public sealed class ProtectionKeys(KeyStore keys) : IXmlRepository
{
    public IReadOnlyCollection<XElement> GetAllElements() => [.. keys.All().Select(XElement.Parse)];

    public void StoreElement(XElement element, string friendlyName) =>
        keys.Add(friendlyName, element.ToString(SaveOptions.DisableFormatting));
}
