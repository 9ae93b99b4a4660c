/** What stands in for comlink and for threads: the same services, done where they are asked for. */

type Service = Record<string, (...given: unknown[]) => unknown>;
const services = new Map<string, Promise<Service>>();
let exposed: Service = {};

export const expose = (service: Service): void => {
  exposed = service;
};
export const proxy = <T>(given: T): T => given;
export const wrap = ({ service }: WorkerHere): unknown =>
  new Proxy(
    {},
    {
      get:
        (_, name: string) =>
        async (...given: unknown[]) =>
          // As it would come out of a thread.
          structuredClone(await (await service)[name]?.(...given)),
    },
  );

export class WorkerHere {
  readonly service: Promise<Service>;
  constructor(address: URL | string) {
    const name = /(\w+)\.ts/.exec(String(address))?.[1] ?? '';
    let known = services.get(name);
    if (!known) {
      known = import(`../../workers/${name}.ts`).then(() => exposed);
      services.set(name, known);
    }
    this.service = known;
  }
  terminate(): void {}
}
