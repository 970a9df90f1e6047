export * from './password-fault';
export * from './factor-code';
