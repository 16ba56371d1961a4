interface Vehicle {
  readonly vehicleId: string;
  readonly name: string;
}

/** The team's vehicles to choose from, or none. */
export function VehicleOptions({ vehicles = [] }: { readonly vehicles: readonly Vehicle[] | undefined }) {
  return (
    <>
      <option value="">no vehicle</option>
      {vehicles.map(({ vehicleId, name }) => (
        <option key={vehicleId} value={vehicleId}>
          {name}
        </option>
      ))}
    </>
  );
}
