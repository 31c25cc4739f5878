export function demoDatabase(): string;
export function copyDemoDatabase(file: string): void;
