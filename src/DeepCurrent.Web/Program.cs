using DeepCurrent.Web.Hosting;

return await Application.Run(args);

/// <summary>Named so that the tests can start the application.</summary>
public partial class Program;
